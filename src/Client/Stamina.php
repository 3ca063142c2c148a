<?php

declare(strict_types=1);

namespace HandGarden\Client;

enum Stamina: string
{
    case Low = 'low';
    case Usual = 'usual';
    case Good = 'good';

    /** Effort a sitting may take, per minute; effort is minutes times intensity. */
    public function effortPerMinute(): float
    {
        return match ($this) {
            self::Low => 2.0,
            self::Usual => 3.0,
            self::Good => 3.5,
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
