<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\WhatIf\StemPath;
use HandGarden\Library\PlacementWords;

/** One ladder drawn as a stem with the first day of each rung ahead, for each assumption. */
final readonly class StemView
{
    /**
     * @param int $more rungs of the ladder beyond those that are drawn
     * @param list<array{name: string, isStart: bool, days: array<string, ?\DateTimeImmutable>}> $nodes from
     *     where the client stands upward
     * @param list<array{share: string, from: Dose, to: Dose, steps: int, by: \DateTimeImmutable}> $doses within
     *     the rung of today
     * @param list<array{share: string, since: \DateTimeImmutable, words: string}>              $waits
     */
    private function __construct(
        public string $ladder,
        public string $strand,
        public string $hands,
        public array $nodes,
        public array $doses,
        public array $waits,
        public int $more,
    ) {
    }

    /** @param non-empty-array<string, StemPath> $paths of one item, by what is assumed */
    public static function from(array $paths, Placements $placements, PlacementWords $words): self
    {
        $any = reset($paths);
        $side = array_values(
            array_filter(Side::cases(), static fn (Side $s): bool => $any->hands->covers($s)),
        )[0]
            ?? Side::Right;
        $placed = $placements->find($any->ladder->key, $side)
            ?? $placements->find($any->ladder->key, $side->opposite());
        $nodes = $doses = $waits = [];
        $from = $any->ladder->positionOf($any->start->id) ?? 1;
        $more = 0;
        foreach (\array_slice($any->ladder->rungs, $from - 1) as $rung) {
            $last = end($nodes);
            if (false !== $last && !$last['isStart'] && [] === array_filter($last['days'])) {
                ++$more; // beyond a rung that is not reached there is nothing to say
                continue;
            }
            if (
                $rung === $any->start || RungState::NoFit !== ($placed?->for($rung->id)->state ?? null)
            ) {
                $nodes[] = [
                    'name' => $rung->name,
                    'isStart' => $rung === $any->start,
                    'days' => array_map(
                        static fn (StemPath $p): ?\DateTimeImmutable => $p->dayOf($rung->id),
                        $paths,
                    ),
                ];
            }
        }
        foreach ($paths as $share => $path) {
            $here = array_values(
                array_filter($path->doses, static fn (array $d): bool => $d[1] === $path->start),
            );
            if (\count($here) > 1) {
                $doses[] = [
                    'share' => $share,
                    'from' => $here[0][2],
                    'to' => $here[array_key_last($here)][2],
                    'steps' => \count($here) - 1,
                    'by' => $here[array_key_last($here)][0],
                ];
            }
            if (null !== $path->waitsFor && null !== $path->waitsSince) {
                $waits[] = [
                    'share' => $share,
                    'since' => $path->waitsSince,
                    'words' => $path->waitsFor->rung->name
                        .': '
                        .$words->placed($path->waitsFor, $side),
                ];
            }
        }

        return new self(
            $any->ladder->name,
            $any->ladder->strand->value,
            $any->hands->label(),
            $nodes,
            doses: $doses,
            waits: $waits,
            more: $more,
        );
    }
}
