<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Shapes that things are put together from. */
enum ThingKind: string
{
    /** One place; radius. */
    case Ball = 'ball';
    /** From one place to another; radius, edge, radius at the far end. */
    case Drum = 'drum';
    /** From one place to another; radius of the round ends, radius at the far end. */
    case Rod = 'rod';
    /** Centre; width, height, depth along the axes of the place; edge. */
    case Block = 'block';
    /** Four corners in turn; half thickness. */
    case Plate = 'plate';
    /** A closed loop through places; half thickness. */
    case Band = 'band';
    /** An open line through places; half thickness. */
    case Cord = 'cord';
}
