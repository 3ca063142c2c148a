<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** Which of two lists a training day has, where more stands than fits into one. */
enum DayList: string
{
    case A = 'A';
    case B = 'B';

    /** They take turns. */
    public static function nth(int $trainingDay): self
    {
        return 0 === $trainingDay % 2 ? self::A : self::B;
    }
}
