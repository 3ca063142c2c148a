<?php

declare(strict_types=1);

namespace HandGarden\Library;

/** What somebody found who looked at the pictures of an exercise without its text. */
enum PictureVerdict: string
{
    case SaysIt = 'says-it';
    case Wrong = 'wrong';

    public function label(): string
    {
        return match ($this) {
            self::SaysIt => 'Says what it should',
            self::Wrong => 'Wrong',
        };
    }
}
