<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an exercise is for, where the rules of progress and of time tell exercises apart. */
enum Purpose: string
{
    case Lengthening = 'lengthening';
    case Positioning = 'positioning';
    case Opening = 'opening';
    case LettingGo = 'letting go';
    /** Asked for and not yet there. */
    case Attempt = 'attempt';
    case Grip = 'grip';
    case Other = 'other';

    public function isKeepingLong(): bool
    {
        return self::Lengthening === $this || self::Positioning === $this;
    }
}
