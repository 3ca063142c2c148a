<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A pose of the pose file, with what stands around it: the bend of the elbow end the gap to a second hand and how that one's
 * wrist differs.
 */
final readonly class NamedPose
{
    public function __construct(public string $name, public Pose $pose, public float $elbowDegrees = 0.0, public float $gapMillimetres = 48.0, public ?float $otherWristDegrees = null)
    {
    }
}
