<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Data\InvalidData;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** For editors: reads every file of the catalogue and names file and path of the first mistake. */
#[AsCommand('garden:catalogue:check', 'Checks the files of the catalogue')]
final class CheckCatalogue extends Command
{
    public function __construct(
        private readonly string $catalogueDir,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            [$catalogue, $drawings] = CatalogueStore::read($this->catalogueDir);
        } catch (InvalidData $e) {
            $output->writeln($e->getMessage(), OutputInterface::OUTPUT_RAW);

            return Command::INVALID;
        }
        $output->writeln(
            \sprintf(
                '%d ladders, %d rungs, %d poses: all read.',
                \count($catalogue->ladders()),
                \count($catalogue->rungs()),
                \count($drawings->poseNames()),
            ),
        );

        return Command::SUCCESS;
    }
}
