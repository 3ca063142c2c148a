<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * The school that a rung belongs to where good practitioners disagree; what a client's approaches switch on and
 * off.
 */
enum ApproachTag: string
{
    case Squeezing = 'squeezing';
    case BriskFacilitation = 'brisk facilitation';
    case SlowStretch = 'slow stretch';
    case WristForwardFirst = 'wrist forward first';
    case WristBackFirst = 'wrist back first';
    case ThumbFirst = 'thumb first';
    case FingersFirst = 'fingers first';
    case Load = 'load';
    case LargeMovement = 'large movement';
    case SensoryMapping = 'sensory mapping';
    case GradedLoading = 'graded loading';
}
