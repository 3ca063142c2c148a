<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

/** What is being done in a hands-on release. */
enum ReleaseStage: string
{
    /** A step in which the client is wholly passive. */
    case Passive = 'passive';
    /** Slow opening again, and tone once, last. */
    case Test = 'test';
    /** The client lets go, or opens. */
    case Active = 'active';
    /** Objects of different shape are grasped and let go, in turn with it. */
    case Grasp = 'grasp';
    /** The hand is laid down open; nothing comes after it. */
    case Positioning = 'positioning';
}
