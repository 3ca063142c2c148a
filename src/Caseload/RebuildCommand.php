<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use HandGarden\Client\ClientRepository;
use HandGarden\Sitting\ItemMemories;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Makes all kept rows and what is remembered of items from scratch. */
#[AsCommand('garden:caseload:rebuild', 'Works out the kept rows of all clients from scratch')]
final class RebuildCommand extends Command
{
    public function __construct(
        private readonly Renewal $renewal,
        private readonly Caseload $caseload,
        private readonly ClientRepository $clients,
        private readonly ItemMemories $memories,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $this->memories->rebuild();
        foreach ($this->clients->everybody() as $client) {
            $this->caseload->enter($client);
        }
        $bar = $style->createProgressBar($this->caseload->staleRows());
        $renewed = $this->renewal->renewAll(static function () use ($bar): void {
            $bar->advance();
        });
        $bar->finish();
        $style->newLine(2);
        $style->success(\sprintf('%d rows are new.', $renewed));

        return self::SUCCESS;
    }
}
