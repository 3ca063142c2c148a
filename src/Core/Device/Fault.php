<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

/** What can be wrong with a line of a device. Late frames are used; the others are left out. */
enum Fault: string
{
    case Late = 'late';
    case Duplicate = 'duplicate';
    case OutOfRange = 'out of range';
    case Garbage = 'garbage';

    public function says(int $count): string
    {
        return match ($this) {
            self::Late => \sprintf('%d late', $count),
            self::Duplicate => \sprintf('%d sent twice', $count),
            self::OutOfRange => \sprintf('%d outside what a hand can do', $count),
            self::Garbage => \sprintf('%d unreadable', $count),
        };
    }
}
