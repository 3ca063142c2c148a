<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** The score of exercises as a sheet to read out, or as the player gets it. */
#[AsCommand('garden:score', 'Writes down cue by cue how exercises are played, to read out or as JSON')]
final class ScoreCommand extends Command
{
    public function __construct(
        private readonly CatalogueStore $catalogue,
        private readonly ScoreSheet $sheet,
        private readonly StopSheet $stops,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument(
            'exercises',
            InputArgument::IS_ARRAY | InputArgument::REQUIRED,
            'Ids of the catalogue',
        )
            ->addOption(
                'hands',
                null,
                InputOption::VALUE_REQUIRED,
                'left, right, together or each',
                default: 'right',
            )
            ->addOption(
                'seed',
                null,
                InputOption::VALUE_REQUIRED,
                'Of what is called in no order',
                default: '7',
            )
            ->addOption('chain', null, InputOption::VALUE_NONE, 'In rounds, as one chain')
            ->addOption('json', null, InputOption::VALUE_NONE, 'As the player gets it');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $hands = Hands::tryFrom(self::text($input->getOption('hands')));
        if (null === $hands) {
            $output->writeln('<error>--hands is left, right, together or each.</error>');

            return Command::INVALID;
        }
        /** @var list<string> $ids */
        $ids = $input->getArgument('exercises');
        $items = [];
        foreach ($ids as $id) {
            if (!$this->catalogue->get()->hasRung($id)) {
                $output->writeln(\sprintf('<error>%s is not in the catalogue.</error>', $id));

                return Command::INVALID;
            }
            $rung = $this->catalogue->get()->rung($id);
            $items[] = new Item(
                $rung,
                $hands,
                $rung->dosing->start,
                Phrase::own(''),
                block: true === $input->getOption('chain') ? 'chain' : null,
            );
        }
        $sheet = $this->sheet->of(
            $ids,
            $items,
            Side::Right,
            onlyCalm: false,
            seed: (int) self::text($input->getOption('seed')),
            stops: $this->stops->rows('112', new ProgressSettings()),
        );
        if (true === $input->getOption('json')) {
            $output->writeln(json_encode($sheet, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE));
        } else {
            $this->readOut($sheet, $output);
        }

        return Command::SUCCESS;
    }

    /** @param array<string, mixed> $sheet */
    private function readOut(array $sheet, OutputInterface $output): void
    {
        /** @var list<array{cues: list<array<string, mixed>>}> $stretches */
        $stretches = $sheet['stretches'];
        foreach ($stretches as $stretch) {
            $at = 0.0;
            foreach ($stretch['cues'] as $cue) {
                $place = array_filter(
                    [$cue['side'] ?? null, $cue['unit'] ?? null],
                    is_string(...),
                );
                $output->writeln(\sprintf(
                    '%2d:%04.1f  %-30s %s',
                    intdiv((int) $at, 60),
                    fmod($at, 60.0),
                    implode(' · ', $place),
                    self::text($cue['words'] ?? ''),
                ));
                $at += \is_int($cue['s']) || \is_float($cue['s']) ? $cue['s'] : 0.0;
            }
            $output->writeln(\sprintf(
                "%2d:%04.1f  the end\n",
                intdiv((int) $at, 60),
                fmod($at, 60.0),
            ));
        }
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}
