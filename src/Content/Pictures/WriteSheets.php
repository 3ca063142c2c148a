<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Content\CatalogueStore;
use HandGarden\Content\WholeFile;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Contact sheets: every still of every exercise in rows, to be looked at after each change of the model. */
#[AsCommand('garden:sheets', 'Writes contact sheets of all pictures as pages to look at')]
final class WriteSheets extends Command
{
    private const ROWS = 12;

    public function __construct(
        private readonly CatalogueStore $catalogue,
        private readonly HandPictures $pictures,
        private readonly TaskPictures $tasks,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addOption(
                'to',
                null,
                InputOption::VALUE_REQUIRED,
                'Folder',
                default: 'var/sheets',
            )
            ->addOption(
                'rungs',
                null,
                InputOption::VALUE_REQUIRED,
                'Only these exercises, parted by commas',
            )
            ->addOption('left', null, InputOption::VALUE_NONE, 'Left hands');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $rungs = $this->catalogue->get()->rungs();
        $only = $input->getOption('rungs');
        if (\is_string($only)) {
            $rungs = array_map(
                $this->catalogue->get()->rung(...),
                explode(',', $only),
            );
        } else {
            array_push($rungs, ...array_values($this->tasks->all($rungs[0])));
        }
        $to = $input->getOption('to');
        $side = true === $input->getOption('left') ? Side::Left : Side::Right;
        $bar = new ProgressBar($output, \count($rungs));
        foreach (array_chunk($rungs, self::ROWS) as $nth => $some) {
            $rows = '';
            foreach ($some as $rung) {
                $rows .= $this->row($rung, $side);
                $bar->advance();
            }
            WholeFile::write(
                \sprintf('%s/sheet-%02d.html', $to, $nth + 1),
                Sheet::page($rows),
            );
        }
        $bar->finish();
        $output->writeln('');

        return Command::SUCCESS;
    }

    private function row(Rung $rung, Side $side): string
    {
        return Sheet::row($rung->id, array_map(
            fn (string $still): string => (string) $this->pictures->draw(basename($still, '.svg')),
            $this->pictures->strip($rung, $side),
        ));
    }
}
