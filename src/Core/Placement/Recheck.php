<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Vocabulary;
use HandGarden\Core\Condition\Atom;

/** What is measured again to see whether a client still stands where they stand, and could stand one higher. */
final readonly class Recheck
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /**
     * @return list<Needed> numbers and answers that the standing rungs and the next ones rest on, in the order of
     *    the vocabulary
     */
    public function for(Placements $placements, ClientFacts $facts): array
    {
        $vocabulary = $this->catalogue->vocabulary;
        $steadier = $facts->people->affected[0]->opposite();
        $needed = $ladders = [];
        foreach ($placements->trained() as $placed) {
            if (null === $placed->standing || !$placed->ladder->kind->isClimbed()) {
                continue;
            }
            foreach (self::atoms([$placed->standing->rung, $placed->next?->rung]) as $atom) {
                if (!$vocabulary->isTaken($atom->code) || 'tryout' === $atom->code) {
                    continue;
                }
                foreach (
                    $vocabulary->isSided($atom->code)
                        ? $atom->prefix->sides(
                            $placed->side,
                            $facts->people->writingHand,
                            $steadier,
                        )
                        : [$placed->side] as $side
                ) {
                    if (
                        null !== $vocabulary->observation($atom->code)
                        && \in_array($side, $facts->people->unaffected, true)
                    ) {
                        continue; // answered once and for all by 'wholly unaffected'
                    }
                    $key = $atom->fact()->text($vocabulary->isSided($atom->code) ? $side : null);
                    $ladders[$key][$placed->ladder->key] = [$placed->ladder, $placed->side];
                    $needed[$key] = new Needed(
                        $atom->code,
                        $atom->argument,
                        $side,
                        $vocabulary->secondsToTake($atom->code),
                        decides: array_values($ladders[$key]),
                    );
                }
            }
        }
        $order = array_flip($vocabulary->codes());
        $rank = static fn (Needed $n): array => [
            $order[$n->code] ?? \PHP_INT_MAX,
            (string) $n->argument,
            Side::Right === $n->side ? 0 : 1,
        ];
        usort($needed, static fn (Needed $a, Needed $b): int => $rank($a) <=> $rank($b));

        return $needed;
    }

    /**
     * @param list<?Rung> $rungs
     *
     * @return list<Atom>
     */
    private static function atoms(array $rungs): array
    {
        $atoms = [];
        foreach ($rungs as $rung) {
            array_push(
                $atoms,
                ...($rung?->fit->entry->atoms() ?? []),
                ...($rung?->fit->endsWhile?->atoms() ?? []),
            );
        }

        return $atoms;
    }
}
