<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Core\Routine\SittingDefaults;

enum Stamina: string
{
    case Low = 'low';
    case Usual = 'usual';
    case Good = 'good';

    /** Effort a sitting may take, per minute; effort is minutes times intensity. */
    public function effortPerMinute(SittingDefaults $defaults): float
    {
        return match ($this) {
            self::Low => $defaults->lowEffort,
            self::Usual => $defaults->usualEffort,
            self::Good => $defaults->goodEffort,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Low => 'Tires quickly',
            self::Usual => 'Usual',
            self::Good => 'Good',
        };
    }
}
