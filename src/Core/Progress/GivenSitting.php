<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\LeftOut;

/** A routine as it is given on one day. */
final readonly class GivenSitting
{
    /**
     * @param list<Item>    $items   at the dose of this day
     * @param list<LeftOut> $resting of the routine, with why
     */
    public function __construct(
        public array $items,
        public array $resting,
    ) {
    }
}
