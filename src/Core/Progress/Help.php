<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

enum Help: string
{
    case None = 'none';
    case Fingertip = 'fingertip';
    case Some = 'some';
    case Much = 'much';
    case Full = 'full';

    public function rank(): int
    {
        return match ($this) {
            self::None => 0,
            self::Fingertip => 1,
            self::Some => 2,
            self::Much => 3,
            self::Full => 4,
        };
    }
}
