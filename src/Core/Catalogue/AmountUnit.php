<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What is done more often to do more of an item. */
enum AmountUnit: string
{
    case Sets = 'sets';
    /** Halves of the time it takes to begin with. */
    case HalfTimes = 'time';
}
