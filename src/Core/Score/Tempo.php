<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Routine\Item;

/** On which beat an exercise is done. */
final readonly class Tempo
{
    /** Beats a minute; null: on none. */
    public static function of(Item $item): ?float
    {
        $level = $item->dose->levels->at(Challenge::Beat);
        $beat = \is_string($level) ? null : $level;
        $beat ??= $item->rung->walk->beat?->start;

        return null === $beat ? null : (float) $beat;
    }
}
