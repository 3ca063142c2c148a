<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;

/** A hand by what it is for somebody, so that a shape fits clients of either side. */
enum ShapeHand: string
{
    case Worse = 'worse';
    case Other = 'other';
    case Together = 'together';
    case Each = 'each';

    public static function fromHands(Hands $hands, Side $worse): self
    {
        return match (true) {
            Hands::Together === $hands => self::Together,
            Hands::Each === $hands => self::Each,
            $hands->covers($worse) => self::Worse,
            default => self::Other,
        };
    }

    public function hands(Side $worse): Hands
    {
        return match ($this) {
            self::Worse => Hands::fromSide($worse),
            self::Other => Hands::fromSide($worse->opposite()),
            self::Together => Hands::Together,
            self::Each => Hands::Each,
        };
    }
}
