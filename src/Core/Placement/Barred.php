<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Condition\Truth;

/** What speaks against an exercise for one hand by itself, wherever it stands on its ladder. */
final readonly class Barred
{
    /**
     * @param list<Caution> $by       that are true
     * @param list<Finding> $because  of those
     * @param list<Caution> $open     that nobody can tell yet
     * @param list<Finding> $toLookAt of those
     */
    private function __construct(
        public array $by,
        public array $because,
        public array $open,
        public array $toLookAt,
    ) {
    }

    public static function of(Rung $rung, HandOfClient $hand): self
    {
        $by = $because = $open = $toLookAt = [];
        foreach ([[$rung->fit->cautions, true], [$rung->fit->bars, false]] as [$cautions, $isAsked]) {
            foreach ($cautions as $caution) {
                if (null === $caution->blocksWhile) {
                    continue;
                }
                $verdict = $hand->known->judged($caution->blocksWhile, $hand->side);
                if ($verdict->isTrue()) {
                    $by[] = $caution;
                    array_push($because, ...$verdict->findings);
                } elseif (
                    Truth::Unknown === $verdict->truth
                    && ($isAsked || $hand->known->lasting()->judged(
                        $caution->blocksWhile,
                        $hand->side,
                    )->isTrue())
                ) { // a bar asks for nothing; what was found is looked at again before it is over
                    $open[] = $caution;
                    array_push($toLookAt, ...$verdict->findings);
                }
            }
        }

        $injection = $hand->facts->measured->injection;
        if (true === $injection?->speaksAgainst($rung, $hand->side, $hand->known->today)) {
            $by[] = $hand->known->gate('G-INJECTED');
        }

        return new self($by, $because, $open, $toLookAt);
    }
}
