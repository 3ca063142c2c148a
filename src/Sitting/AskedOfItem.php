<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Cue\Counted;
use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Core\Words\Phrase;

/** What is asked of an exercise after it was done: first what its progress cannot do without, the rest when wanted. */
final readonly class AskedOfItem
{
    /**
     * @param string  $count  word for what is counted in its repetitions
     * @param bool    $counts progress needs the count told
     * @param bool    $errors progress needs the errors told
     * @param array<string, array{now: string, levels: array<string, Phrase>}> $levels by challenge: what was planned,
     *     and what may have been done instead
     */
    private function __construct(
        public string $count,
        public bool $counts,
        public bool $errors,
        public bool $mayErr,
        public bool $mayDrop,
        public bool $load,
        public array $levels,
    ) {
    }

    public static function of(Rung $rung, Dose $planned): self
    {
        $grows = static fn (ProgressKind $by): bool => \in_array(
            $by,
            array_column($rung->dosing->progress, 'kind'),
            true,
        );
        $tries = $grows(ProgressKind::WristAngle);
        $pieces = $grows(ProgressKind::ObjectCount);
        $errors = $grows(ProgressKind::Tempo) || $grows(ProgressKind::Caller);
        $count = $rung->walk->count;

        return new self(
            match (true) {
                $tries => 'tries',
                $pieces => 'pieces',
                default => 'repetitions',
            },
            $tries || $pieces,
            $errors,
            mayErr: !$errors && $count->has(Counted::Errors),
            mayDrop: $count->has(Counted::Drops),
            load: $planned->loadKilograms > 0.0 || $rung->dosing->range->loadKilograms[1] > 0.0,
            levels: self::choices($rung, $planned),
        );
    }

    /** @return array<string, array{now: string, levels: array<string, Phrase>}> */
    private static function choices(Rung $rung, Dose $planned): array
    {
        $choices = [];
        foreach ($planned->levels->all() as $code => $now) {
            $challenge = Challenge::from($code);
            $levels = $rung->dosing->levelsOf($code);
            if (Challenge::Help === $challenge || [] === $levels) {
                continue; // help is asked of every exercise
            }
            $words = [];
            foreach (Challenge::Angle === $challenge ? DoseSteps::ANGLES_AT_HOME : $levels as $level) {
                $words[(string) $level] = DoseWords::level($challenge, $level);
            }
            $choices[$code] = ['now' => (string) $now, 'levels' => $words];
        }

        return $choices;
    }
}
