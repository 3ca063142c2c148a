<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** What is strung through places of the scene, and so goes along with the hand. */
enum ThingKind: string
{
    /** From one place to another; radius of the round ends, radius at the far end. */
    case Rod = 'rod';
    /** Corners in turn; half thickness. */
    case Plate = 'plate';
    /** A closed loop through places; half thickness. */
    case Band = 'band';
    /** An open line through places; half thickness. */
    case Cord = 'cord';
    /** A soft line through places; half thickness at each. */
    case Rope = 'rope';
}
