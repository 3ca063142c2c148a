<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use HandGarden\Core\Wearing\WearDay;
use HandGarden\Core\Wearing\WearGrowth;
use HandGarden\Core\Words\Phrase;

/** A plan of wearing with what came of it. */
final readonly class WearSheet
{
    /**
     * @param list<Wear>   $wears newest first
     * @param list<Phrase> $why   it may not be worn as it stands; none: it may
     */
    public function __construct(
        public WearPlan $plan,
        public array $wears,
        public array $why,
        public bool $isHeld,
        public \DateTimeImmutable $fitDueOn,
    ) {
    }

    public function growth(): WearGrowth
    {
        return WearGrowth::of($this->plan->worn, $this->plan->step, array_values(array_filter(array_map(
            static fn (Wear $w): ?WearDay => $w->asDay(),
            array_reverse($this->wears),
        ))));
    }
}
