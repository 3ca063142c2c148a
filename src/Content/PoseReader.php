<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\InvalidPose;
use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\PoseLibrary;

/** Reads the pose file. */
final readonly class PoseReader
{
    /** @throws InvalidData naming pose and joint */
    public function read(Node $node): PoseLibrary
    {
        $poses = [];
        foreach ($node->map() as $name => $pose) {
            $poses[$name] = $this->pose($name, $pose);
        }

        return new PoseLibrary($poses);
    }

    private function pose(string $name, Node $node): NamedPose
    {
        $node->only('wrist', 'dev', 'forearm', 'cup', 'elbow', 'gap', 'other_wrist', 'thumb', ...Pose::FINGERS);
        $angles = [];
        foreach (['wrist', 'dev', 'forearm', 'cup'] as $key) {
            $angles[$key] = $node->optional($key)?->float() ?? 0.0;
        }
        foreach ([...Pose::FINGERS, 'thumb'] as $digit) {
            $angles[$digit] = $node->get($digit)->floats();
        }
        try {
            return new NamedPose($name, Pose::of($angles), $node->optional('elbow')?->float(-90, 90) ?? 0.0, $node->optional('gap')?->float(0, 300) ?? 48.0, $node->optional('other_wrist')?->float(-80, 85));
        } catch (InvalidPose $e) {
            throw $node->fail($e->getMessage());
        }
    }
}
