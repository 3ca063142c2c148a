<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** What the face of a figure does. */
enum Face: string
{
    case Calm = 'calm';
    case EyesClosed = 'eyes-closed';
    case BreathingOut = 'breathing-out';
}
