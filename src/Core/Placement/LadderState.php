<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

enum LadderState: string
{
    case Standing = 'standing';
    case Complete = 'complete';
    case Blocked = 'blocked';
    case Measure = 'measure';
    case BelowFirst = 'below the first rung';
    case NoFit = 'no fit';

    public function label(): string
    {
        return match ($this) {
            self::Standing => 'Stands here',
            self::Complete => 'Top rung reached: keep it up or drop it',
            self::Blocked => 'Blocked',
            self::Measure => 'Needs measuring',
            self::BelowFirst => 'Not yet on the first rung',
            self::NoFit => 'Not for these conditions',
        };
    }
}
