<?php

declare(strict_types=1);

namespace HandGarden\Planning;

/** Where a dose of record comes from. */
enum DoseSource: string
{
    /** What the exercise began with when it first came into a routine. */
    case Start = 'start';
    /** Set by hand. */
    case Therapist = 'therapist';
    /** A proposal that was accepted or adjusted. */
    case Decision = 'decision';
    /** Taken over from routines in which each had a dose of its own. */
    case Moved = 'moved';
}
