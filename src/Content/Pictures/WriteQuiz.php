<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Content\CatalogueStore;
use HandGarden\Content\WholeFile;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * A blind test of the pictures: sheets without a word in an order from a seed, and the key in a file of its own. Who
 * names them writes down what is done with which fingers, hands and things; the key is opened afterwards.
 */
#[AsCommand('garden:pictures:quiz', 'Writes unlabelled pictures to be named, and a key apart')]
final class WriteQuiz extends Command
{
    private const ON_A_SHEET = 20;

    public function __construct(
        private readonly CatalogueStore $catalogue,
        private readonly HandPictures $pictures,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addOption(
                'count',
                null,
                InputOption::VALUE_REQUIRED,
                'How many exercises',
                default: '60',
            )
            ->addOption(
                'seed',
                null,
                InputOption::VALUE_REQUIRED,
                'The same seed gives the same sheets',
                default: '1',
            )
            ->addOption(
                'to',
                null,
                InputOption::VALUE_REQUIRED,
                'Folder',
                default: 'var/quiz',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $count = $input->getOption('count');
        $seed = $input->getOption('seed');
        $to = $input->getOption('to');
        if (!is_numeric($count) || !is_numeric($seed) || (int) $count < 1) {
            $output->writeln('Count and seed are whole numbers, and there is one picture or more.');

            return Command::INVALID;
        }
        $random = new Randomizer(new Mt19937((int) $seed));
        $chosen = \array_slice(
            $random->shuffleArray($this->catalogue->get()->rungs()),
            0,
            (int) $count,
        );
        $bar = new ProgressBar($output, \count($chosen));
        $key = \sprintf(
            "# Key of the pictures with seed %d\n\n| nr | exercise | family |\n| --- | --- | --- |\n",
            $seed,
        );
        foreach (array_chunk($chosen, self::ON_A_SHEET, true) as $sheet => $some) {
            $rows = '';
            foreach ($some as $nth => $rung) {
                $rows .= $this->row($rung, $nth + 1);
                $key .= \sprintf(
                    "| %d | %s | %s |\n",
                    $nth + 1,
                    $rung->name,
                    $this->familyOf($rung),
                );
                $bar->advance();
            }
            WholeFile::write(
                \sprintf('%s/quiz-%d.html', $to, $sheet + 1),
                Sheet::page($rows),
            );
        }
        WholeFile::write($to.'/key.md', $key);
        $bar->finish();
        $output->writeln(\sprintf("\n%d pictures in %s; the key is key.md.", \count($chosen), $to));

        return Command::SUCCESS;
    }

    private function row(Rung $rung, int $number): string
    {
        $side = 0 === $number % 2 ? Side::Left : Side::Right;

        return Sheet::row((string) $number, array_map(
            fn (string $still): string => (string) $this->pictures->draw(basename($still, '.svg')),
            $this->pictures->strip($rung, $side),
        ));
    }

    private function familyOf(Rung $rung): string
    {
        return $this->catalogue->get()->ladderOf($rung->id)->name;
    }
}
