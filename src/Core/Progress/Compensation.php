<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Another part doing the work. The values are codes; the words for them stand in `translations/`. */
enum Compensation: string
{
    case ShoulderHike = 'shoulder-hike';
    case ArmWinging = 'arm-winging';
    case TrunkLean = 'trunk-lean';
    case BreathHeld = 'breath-held';
    case WristDrop = 'wrist-drop';
    case PalmTurned = 'palm-turned';
    case QuickJerk = 'quick-jerk';
}
