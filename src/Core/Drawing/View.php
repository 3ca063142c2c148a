<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** From where a hand is looked at. */
enum View: string
{
    case Palmar = 'palmar';
    case Dorsal = 'dorsal';
    /** Thumb side, back of the hand up, fingers left (of a right hand). */
    case Radial = 'radial';
    /** Thumb side, fingers up: two palms together. */
    case RadialUp = 'radial-up';
    /** Thumb side and back: best for opposition and grips. */
    case Three = 'three';
    case ThreePalm = 'three-palm';
    /** Less oblique: keeps a second forearm in the plane of the picture. */
    case Helper = 'helper';

    public function label(): string
    {
        return match ($this) {
            self::Palmar => 'palm side',
            self::Dorsal => 'back of the hand',
            self::Radial, self::RadialUp => 'thumb side',
            self::Three => 'thumb side and back',
            self::ThreePalm => 'thumb side and palm',
            self::Helper => 'back, from the thumb side',
        };
    }
}
