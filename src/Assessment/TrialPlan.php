<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\Steadiness\SetUp;
use HandGarden\Core\Measure\Steadiness\SteadyingTrial;

/** A steadying trial as it was planned; its name holds the plan, so that every recording says where it belongs. */
final readonly class TrialPlan
{
    public const MOST_TRIALS = 8;

    /** @param non-empty-list<SetUp> $setUps unsupported first */
    private function __construct(
        public int $seed,
        public int $trials,
        public array $setUps,
    ) {
    }

    /** @param list<SetUp> $others beside unsupported */
    public static function from(int $seed, int $trials, array $others): ?self
    {
        $others = array_values(
            array_filter($others, static fn (SetUp $s): bool => SetUp::Unsupported !== $s),
        );

        return [] === $others
            || $trials < SteadyingTrial::FEWEST_TRIALS
            || $trials > self::MOST_TRIALS
            ? null
            : new self($seed, $trials, [SetUp::Unsupported, ...$others]);
    }

    public static function parse(string $name): ?self
    {
        if (1 !== preg_match('/^trial-(\d{1,10})-(\d)-([a-z+]+)$/', $name, $parts)) {
            return null;
        }
        $setUps = array_values(
            array_filter(
                array_map(SetUp::tryFrom(...), explode('+', $parts[3])),
                static fn (?SetUp $s): bool => null !== $s,
            ),
        );

        return self::from((int) $parts[1], (int) $parts[2], $setUps);
    }

    public function name(): string
    {
        return \sprintf(
            'trial-%d-%d-%s',
            $this->seed,
            $this->trials,
            implode(
                '+',
                array_map(static fn (SetUp $s): string => $s->value, \array_slice($this->setUps, 1)),
            ),
        );
    }

    /** @return list<SetUp> */
    public function order(): array
    {
        return SteadyingTrial::order($this->setUps, $this->trials, $this->seed);
    }
}
