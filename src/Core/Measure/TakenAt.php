<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** What the argument of a measure says. */
enum TakenAt: string
{
    case Part = 'part';
    case WristAngle = 'wrist angle';
    /** One finger is asked, another moves along. */
    case FingerPair = 'finger pair';
    case Task = 'task';
}
