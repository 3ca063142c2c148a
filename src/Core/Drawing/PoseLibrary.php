<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** All named poses. */
final readonly class PoseLibrary
{
    /** @param array<string, NamedPose> $poses */
    public function __construct(private array $poses)
    {
    }

    /** @throws InvalidPose */
    public function get(string $name): NamedPose
    {
        return $this->poses[$name] ?? throw InvalidPose::unknown($name);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->poses);
    }
}
