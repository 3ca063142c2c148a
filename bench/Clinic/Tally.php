<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

/** What many made-up clients came to. */
final class Tally
{
    /** @var array<string, list<int|float|string>> */
    private array $counts = [];

    /**
     * @param list<Day>       $trace
     * @param list<Violation> $violations
     */
    public function add(MadeUpClient $client, array $trace, array $violations): void
    {
        foreach ($violations as $violation) {
            $this->counts['violations'][] = $violation->rule;
            $this->counts['examples'][] = \sprintf(
                '%s client %d (%s) day %d: %s',
                $violation->rule,
                $client->seed,
                $client->trouble->value,
                $violation->day,
                $violation->what,
            );
        }
        $practised = array_filter($trace, static fn (Day $d): bool => [] !== $d->sittings);
        $this->counts['practice days'][] = \count($practised);
        $this->counts['overload days'][] = \count(
            array_filter($trace, static fn (Day $d): bool => $d->isOverload),
        );
        $this->counts['days below ability'][] = \count(array_filter(
            $trace,
            static fn (Day $d): bool => $d->isUnderload,
        ));
        $this->counts['empty without reason'][] = \count(array_filter(
            $trace,
            static fn (Day $d): bool => '' === $d->empty,
        ));
        $this->counts['empty'][] = [] === array_filter(
            $trace,
            static fn (Day $d): bool => null !== $d->empty,
        )
            ? 0
            : 1;
        foreach (self::weeks($trace) as $cards) {
            $this->counts['cards a week'][] = $cards;
        }
        $this->counts['steps'][] = array_sum(
            array_map(static fn (Day $d): int => \count($d->accepted), $trace),
        );
        $this->counts['rungs'][] = array_sum(array_map(static fn (Day $d): int => $d->changes, $trace));
        foreach ($this->daysToLess($trace) as $days) {
            $this->counts['days to less'][] = $days;
        }
    }

    /** @return array<string, list<int|float|string>> */
    public function counts(): array
    {
        return $this->counts;
    }

    /** @param array<mixed> $counts of another part */
    public function join(array $counts): void
    {
        foreach ($counts as $name => $values) {
            foreach (\is_array($values) ? $values : [] as $value) {
                if (\is_int($value) || \is_float($value) || \is_string($value)) {
                    $this->counts[(string) $name][] = $value;
                }
            }
        }
    }

    /** @return list<string> */
    public function lines(): array
    {
        $days = array_sum($this->numbers('practice days'));
        $lines = [
            \sprintf(
                '%d clients, %d practice days',
                \count($this->numbers('practice days')),
                $days,
            ),
            'unsafe by the oracle '.\count($this->counts['violations'] ?? []),
            \sprintf(
                'overload days         %.1f %%',
                100 * array_sum($this->numbers('overload days')) / max(1, $days),
            ),
            \sprintf(
                'days below ability    %.1f %%',
                100 * array_sum($this->numbers('days below ability')) / max(1, $days),
            ),
            'from a symptom to less  '.$this->spread('days to less').' sittings of the item',
            'cards a client and week '.$this->spread('cards a week'),
            'steps accepted          '.$this->spread('steps'),
            'exercises climbed       '.$this->spread('rungs'),
            \sprintf(
                'clients with a day without routine %d, days of it without a reason %d',
                array_sum($this->numbers('empty')),
                array_sum($this->numbers('empty without reason')),
            ),
        ];
        foreach (array_count_values(
            array_map(strval(...), $this->counts['violations'] ?? []),
        ) as $rule => $times) {
            $lines[] = $rule.': '.$times;
        }

        return [...$lines, ...array_map(
            strval(...),
            \array_slice($this->counts['examples'] ?? [], 0, 20),
        )];
    }

    private function spread(string $name): string
    {
        $values = $this->numbers($name);
        sort($values);
        $at = static fn (float $share): float => $values[(int) floor($share * (\count($values) - 1))] ?? 0.0;

        return \sprintf(
            'median %.1f, 95 %% %.1f, most %.1f',
            $at(0.5),
            $at(0.95),
            $at(1.0),
        );
    }

    /** @return list<float> */
    private function numbers(string $name): array
    {
        return array_map(floatval(...), $this->counts[$name] ?? []);
    }

    /**
     * @param list<Day> $trace
     *
     * @return list<int> cards that a therapist had to answer in each week
     */
    private static function weeks(array $trace): array
    {
        $weeks = [];
        foreach ($trace as $day) {
            $week = intdiv($day->number, 7);
            $weeks[$week] = ($weeks[$week] ?? 0) + $day->answered;
        }

        return array_values($weeks);
    }

    /**
     * @param list<Day> $trace
     *
     * @return list<int> sittings of the item from a symptom's arrival to less of it; 0: the next was less
     */
    private function daysToLess(array $trace): array
    {
        $found = [];
        foreach ($trace as $day) {
            foreach ($day->lines as $line) {
                if ($line->isCopy || !$line->isSymptom(6)) {
                    continue;
                }
                $waited = 0;
                foreach ($trace as $later) {
                    foreach ($later->number > $line->arrives ? array_merge(
                        ...$later->sittings,
                    ) : [] as $given) {
                        if ($given->key() !== $line->key) {
                            continue;
                        }
                        if ($given->dose->isAtMost($line->dose) && !$line->dose->isAtMost($given->dose)) {
                            break 2;
                        }
                        ++$waited;
                        break 2;
                    }
                }
                $found[] = $waited;
            }
        }

        return $found;
    }
}
