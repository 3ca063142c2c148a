<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;

/** The same routine built again with one material more, or with a helper: is it worth asking for? */
final readonly class WhatElse
{
    private const MOST_MATERIALS = 5;

    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param array<string, Dose> $doses prescribed doses by item key
     *
     * @return list<Alternative> most gain first; what gains nothing is not named
     */
    public function of(Routine $now, Placements $placements, ClientFacts $facts, ?GoalTask $goal, Limits $limits, array $doses, \DateTimeImmutable $today): array
    {
        $alternatives = [];
        foreach ($this->missing($placements, $facts) as $key) {
            $alternatives[] = $this->with($this->catalogue->handbook()->material($key)->label ?? $key, $now, $placements, $facts->withMaterials([...($facts->materials ?? []), $key]), $goal, $limits, $doses, $today);
        }
        if (!$facts->helperHere) {
            $helped = $facts->withHelper();
            $alternatives[] = $this->with('A helper', $now, (new Placer($this->catalogue))->place($helped, $today), $helped, $goal, $limits, $doses, $today);
        }
        $alternatives = array_values(array_filter($alternatives, static fn (?Alternative $a): bool => null !== $a));
        usort($alternatives, static fn (Alternative $a, Alternative $b): int => [$b->gain, $a->with] <=> [$a->gain, $b->with]);

        return $alternatives;
    }

    /** @param array<string, Dose> $doses */
    private function with(string $label, Routine $now, Placements $placements, ClientFacts $facts, ?GoalTask $goal, Limits $limits, array $doses, \DateTimeImmutable $today): ?Alternative
    {
        try {
            $then = (new Builder($this->catalogue))->build($placements, $facts, $goal, $limits, $doses, $today);
        } catch (NothingFits) {
            return null;
        }
        $keys = array_map(static fn (Item $i): string => $i->key(), $now->sequence->items);
        $adds = array_values(array_map(static fn (Item $i): string => $i->rung->name, array_filter($then->sequence->items, static fn (Item $i): bool => !$i->isPause && !\in_array($i->key(), $keys, true))));

        return $then->value > $now->value && [] !== $adds ? new Alternative($label, $then->value - $now->value, $adds) : null;
    }

    /** @return list<string> materials that are the only thing between the client and an offered rung, most wanted first */
    private function missing(Placements $placements, ClientFacts $facts): array
    {
        if (null === $facts->materials) {
            return [];
        }
        $wanted = [];
        foreach ($placements->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                $missing = array_values(array_diff($rung->materials, $facts->materials));
                if (1 === \count($missing)) {
                    $wanted[$missing[0]] = ($wanted[$missing[0]] ?? 0) + 1;
                }
            }
        }
        ksort($wanted);
        arsort($wanted);

        return \array_slice(array_keys($wanted), 0, self::MOST_MATERIALS);
    }
}
