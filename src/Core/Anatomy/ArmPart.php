<?php

declare(strict_types=1);

namespace HandGarden\Core\Anatomy;

/** The parts of an arm that exercises work on, from the trunk outwards. */
enum ArmPart: string
{
    case Shoulder = 'shoulder';
    case UpperArm = 'upper_arm';
    case Elbow = 'elbow';
    case Forearm = 'forearm';
    case Wrist = 'wrist';
    case Thumb = 'thumb';
    case Fingers = 'fingers';
}
