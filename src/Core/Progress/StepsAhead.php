<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Placement\RungPlacement;

/** Where the next exercise would stand today, were the one below it approved. */
final readonly class StepsAhead
{
    /** @param \Closure(): ClientFacts $facts read only where a next exercise is asked for */
    public function __construct(
        private Placer $placer,
        private \Closure $facts,
        private \DateTimeImmutable $today,
    ) {
    }

    /** @return list<RungPlacement> one for each hand that is treated */
    public function place(Rung $from, Rung $to, Hands $hands): array
    {
        $met = array_map(
            static fn (RungOnSide $r): string => $r->text(),
            RungOnSide::forHands($from->id, $hands),
        );
        $now = ($this->facts)();
        $facts = $now->withMet([...$now->decided->met, ...$met]);
        $found = [];
        foreach ($facts->people->affected as $side) {
            if ($hands->covers($side)) {
                $found[] = $this->placer->placeOne($to, $side, $facts, $this->today);
            }
        }

        return array_values(array_filter($found));
    }
}
