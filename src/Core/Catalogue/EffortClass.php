<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

enum EffortClass: string
{
    case Calm = 'calm';
    case Prep = 'prep';
    case Practice = 'practice';
    case Strength = 'strength';
    case Task = 'task';
    case Device = 'device';

    /** Calm and passive items: what is left on a day of severe pain. */
    public function isRestful(): bool
    {
        return self::Calm === $this || self::Prep === $this;
    }

    /** A strength or practice item needs the preparation of its segment earlier in the sitting. */
    public function needsPreparation(): bool
    {
        return self::Strength === $this || self::Practice === $this;
    }
}
