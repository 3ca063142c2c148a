<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** How the client feels on the medicine for Parkinson's; `none` where there is none. */
enum MedicationState: string
{
    case NotAsked = 'not-asked';
    case None = 'none';
    case On = 'on';
    case Off = 'off';

    public function label(): string
    {
        return match ($this) {
            self::NotAsked => 'not asked',
            self::None => 'takes none',
            self::On => 'feels on',
            self::Off => 'feels off',
        };
    }
}
