<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Drawing\NamedPose;

/**
 * How a rung is drawn: poses of the pose or figure file, the camera they are best seen by, the place whose way
 * the arrow
 * shows, and what lies around: things and second hands by name, at the start and at the end. `table` is the part
 * of the hand
 * that rests on it: palm, forearm or edge.
 */
final readonly class Picture
{
    /**
     * @param list<string> $via         poses on the way, where the way matters
     * @param list<string> $startThings
     * @param list<string> $endThings
     * @param list<string>             $focus       digits or limbs in the focus tint
     * @param array<string, NamedPose> $ownPoses    poses that are not in the pose file
     */
    public function __construct(
        public string $startPose,
        public string $endPose,
        public string $view,
        public string $traced,
        public array $via = [],
        public array $startThings = [],
        public array $endThings = [],
        public ?string $startHand = null,
        public ?string $endHand = null,
        public ?string $table = null,
        public ?string $zones = null,
        public array $focus = [],
        public array $ownPoses = [],
    ) {
    }

    /** @return non-empty-list<string> poses in order */
    public function poses(): array
    {
        return [$this->startPose, ...$this->via, $this->endPose];
    }

    /** @param array<string, NamedPose> $poses */
    public function withOwnPoses(string $start, string $end, array $poses): self
    {
        return new self(
            $start,
            $end,
            $this->view,
            $this->traced,
            via: [],
            startThings: $this->startThings,
            endThings: $this->endThings,
            startHand: $this->startHand,
            endHand: $this->endHand,
            table: $this->table,
            zones: $this->zones,
            focus: $this->focus,
            ownPoses: $poses,
        );
    }

    /** @param array<string, string> $swaps poses that others stand in for */
    public function withPoses(array $swaps): self
    {
        $swap = static fn (string $pose): string => $swaps[$pose] ?? $pose;

        return new self(
            $swap($this->startPose),
            $swap($this->endPose),
            $this->view,
            $this->traced,
            via: array_map($swap, $this->via),
            startThings: $this->startThings,
            endThings: $this->endThings,
            startHand: $this->startHand,
            endHand: $this->endHand,
            table: $this->table,
            zones: $this->zones,
            focus: $this->focus,
            ownPoses: $this->ownPoses,
        );
    }
}
