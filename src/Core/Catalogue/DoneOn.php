<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Which hand an item is for. */
enum DoneOn: string
{
    case Affected = 'affected';
    case EachHand = 'each hand';
    case BothTogether = 'both together';

    /** Sides as the time formula counts them: 'both together' is one. */
    public function sides(): int
    {
        return self::EachHand === $this ? 2 : 1;
    }
}
