<?php

declare(strict_types=1);

namespace HandGarden\Core\Anatomy;

enum Side: string
{
    case Left = 'left';
    case Right = 'right';

    public function opposite(): self
    {
        return self::Left === $this ? self::Right : self::Left;
    }
}
