<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Side;

/** Readings with the newest first to be found; history stays in the list. */
final readonly class Readings
{
    /** @var array<string, non-empty-list<Reading>> newest first */
    private array $byKey;

    /** @param iterable<Reading> $readings in the order they were taken; of two on one day the later one counts */
    public function __construct(iterable $readings)
    {
        $byKey = $unsorted = [];
        foreach ($readings as $reading) {
            $key = self::key($reading->code, $reading->side, $reading->mode, $reading->argument);
            if (isset($byKey[$key]) && $reading->on < $byKey[$key][\count($byKey[$key]) - 1]->on) {
                $unsorted[$key] = true;
            }
            $byKey[$key][] = $reading;
        }
        foreach (array_keys($unsorted) as $key) {
            usort(
                $byKey[$key],
                static fn (Reading $a, Reading $b): int => $a->on <=> $b->on,
            ); // of two on one day the later one stays the later one
        }
        $this->byKey = array_map(array_reverse(...), $byKey);
    }

    public function newest(
        string $code,
        ?Side $side,
        ?Mode $mode = null,
        ?string $argument = null,
    ): ?Reading {
        return $this->byKey[self::key($code, $side, $mode, $argument)][0] ?? null;
    }

    /** @return list<Reading> newest first */
    public function history(
        string $code,
        ?Side $side,
        ?Mode $mode = null,
        ?string $argument = null,
    ): array {
        return $this->byKey[self::key($code, $side, $mode, $argument)] ?? [];
    }

    /** @return list<Reading> the newest of every kind, side, mode and argument */
    public function current(): array
    {
        return array_values(array_map(static fn (array $list): Reading => $list[0], $this->byKey));
    }

    public function since(\DateTimeImmutable $day): self
    {
        return $this->where(static fn (Reading $r): bool => $r->on >= $day);
    }

    /** @param \Closure(Reading): bool $keep */
    public function where(\Closure $keep): self
    {
        $kept = [];
        foreach ($this->byKey as $list) {
            array_push($kept, ...array_reverse(array_filter($list, $keep)));
        }

        return new self($kept);
    }

    private static function key(string $code, ?Side $side, ?Mode $mode, ?string $argument): string
    {
        return $code.'|'.($side->value ?? '').'|'.($mode->value ?? '').'|'.($argument ?? '');
    }
}
