<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** How much stops, least first. */
enum Stops: string
{
    case Nothing = 'nothing';
    case Item = 'item';
    /** The item, and what else works its part. */
    case Part = 'part';
    /** All of today. */
    case Sitting = 'sitting';
    /** All, until a therapist has looked. */
    case Everything = 'everything';

    public function endsTheSitting(): bool
    {
        return self::Sitting === $this || self::Everything === $this;
    }
}
