<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Cue\UnitOrder;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Cue\WalkKind;

/** Which finger, space, direction or shape each repetition of a set is for. */
final readonly class Units
{
    public function __construct(
        private Walk $walk,
        private Dose $dose,
    ) {
    }

    /**
     * @param int $set from 1
     *
     * @return list<array{int, ?string, ?string}> repetition from 1, unit, unit of the second hand
     */
    public function ofSet(int $set): array
    {
        return $this->walk->kind->countsParts()
            ? $this->inOrder()
            : array_map(
                fn (int $n): array => [$n, $this->oneOf($n, $set), null],
                range(1, $this->dose->repetitions),
            );
    }

    /** @return list<array{int, ?string, ?string}> */
    private function inOrder(): array
    {
        $units = $this->parts();
        $repetitions = range(1, $this->dose->repetitions);
        $order = [];
        if (UnitOrder::Round === $this->walk->order) {
            foreach ($repetitions as $n) {
                foreach ($units as [$unit, $other]) {
                    $order[] = [$n, $unit, $other];
                }
            }
        } else {
            foreach ($units as [$unit, $other]) {
                foreach ($repetitions as $n) {
                    $order[] = [$n, $unit, $other];
                }
            }
        }

        return $order;
    }

    /** @return list<array{?string, ?string}> as many as the dose has parts */
    private function parts(): array
    {
        $finger = $this->dose->levels->at(Challenge::Finger);
        $units = \is_string($finger) ? [$finger] : $this->walk->units;
        $parts = [];
        for ($i = 0; $i < $this->dose->parts; ++$i) {
            $parts[] = [
                [] === $units ? null : $units[$i % \count($units)],
                $this->walk->otherHand[$i] ?? null,
            ];
        }

        return $parts;
    }

    private function oneOf(int $repetition, int $set): ?string
    {
        $units = $this->walk->units;
        $count = \count($units);

        return 0 === $count ? null : $units[match ($this->walk->kind) {
            WalkKind::Run => ($repetition - 1) % $count,
            WalkKind::Sets => ($set - 1) % $count,
            WalkKind::Halves => min(
                $count - 1,
                intdiv(($repetition - 1) * $count, $this->dose->repetitions),
            ),
            default => 0,
        }];
    }
}
