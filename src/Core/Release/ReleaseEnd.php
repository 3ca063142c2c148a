<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

/** Why a hands-on release has come to positioning. */
enum ReleaseEnd: string
{
    case TooTight = 'too-tight';
    case TimeIsUp = 'time-is-up';
    /** Neither tone nor opening has changed enough to ask for an opening by oneself. */
    case NotDropped = 'not-dropped';
    /** The therapist has ended it. */
    case Chosen = 'chosen';
}
