<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/**
 * When an entry is written. What is written because it is bad just then would fake causes: only the two moments that
 * were set beforehand are compared.
 */
enum Moment: string
{
    case First = 'first';
    case Second = 'second';
    case Now = 'now';

    /** How far from its time an entry of a set moment may be written. */
    public const WITHIN_MINUTES = 60;

    public function isFixed(): bool
    {
        return self::Now !== $this;
    }
}
