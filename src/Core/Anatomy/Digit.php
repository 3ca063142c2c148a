<?php

declare(strict_types=1);

namespace HandGarden\Core\Anatomy;

/** In order from the thumb; what a number caller says is a setting elsewhere. */
enum Digit: string
{
    case Thumb = 'thumb';
    case Index = 'index';
    case Middle = 'middle';
    case Ring = 'ring';
    case Little = 'little';

    /** @return list<self> */
    public static function fingers(): array
    {
        return [self::Index, self::Middle, self::Ring, self::Little];
    }

    /**
     * @return non-empty-list<Joint> hinge joints from the palm outwards; the thumb base moves in other planes and
     *    stands apart
     */
    public function hinges(): array
    {
        return self::Thumb === $this ? [Joint::Mp, Joint::Ip] : [Joint::Mcp, Joint::Pip, Joint::Dip];
    }
}
