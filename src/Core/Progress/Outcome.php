<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

enum Outcome: string
{
    case Done = 'done';
    case Part = 'part';
    case Skipped = 'skipped';

    /** Share of a scheduled item that counts as done. */
    public function share(): float
    {
        return match ($this) {
            self::Done => 1.0,
            self::Part => 0.5,
            self::Skipped => 0.0,
        };
    }
}
