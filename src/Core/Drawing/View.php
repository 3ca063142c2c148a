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
    /** Thumb side, palm up, fingers right. */
    case PalmUp = 'palm-up';
    /** Little-finger edge down, thumb up: from the palm, fingers left. */
    case EdgePalm = 'edge-palm';
    /** The same from the back, fingers right. */
    case EdgeBack = 'edge-back';
    /** Palm down on a table, from the thumb side, above and in front. */
    case Table = 'table';
    /** Palm up on a table, from the thumb side, above and in front. */
    case TablePalm = 'table-palm';
    /** Towards the finger tips, thumb up, from the palm. */
    case Tips = 'tips';
    /** A whole figure. */
    case Front = 'front';
    case Side = 'side';
    case Quarter = 'quarter';
    case Above = 'above';

    public function label(): string
    {
        return match ($this) {
            self::Palmar => 'palm side',
            self::Dorsal => 'back of the hand',
            self::Radial, self::RadialUp => 'thumb side',
            self::Three => 'thumb side and back',
            self::ThreePalm => 'thumb side and palm',
            self::Helper => 'back, from the thumb side',
            self::PalmUp => 'thumb side, palm up',
            self::EdgePalm => 'palm side, thumb on top',
            self::EdgeBack => 'back of the hand, thumb on top',
            self::Table => 'over a table, from the thumb side',
            self::TablePalm => 'palm up, from the thumb side',
            self::Tips => 'from the finger tips, thumb up',
            self::Front => 'from the front',
            self::Side => 'from the side',
            self::Quarter => 'from the front and side',
            self::Above => 'from above and in front',
        };
    }

    /** Views of a whole figure; the others are of a hand. */
    public function isOfFigure(): bool
    {
        return \in_array(
            $this,
            [self::Front, self::Side, self::Quarter, self::Above],
            true,
        );
    }
}
