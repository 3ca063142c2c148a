<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A pose of the pose file, with what stands around it: the bend of the elbow end, the gap to a second hand laid
 * palm to palm
 * and how that one differs, and the turn of both together.
 */
final readonly class NamedPose implements Subject
{
    public function __construct(
        public string $name,
        public Pose $pose,
        public float $elbowDegrees = 0.0,
        public float $gapMillimetres = 48.0,
        public ?float $otherWristDegrees = null,
        public ?Pose $otherPose = null,
        public float $turn = 0.0,
    ) {
    }

    public function scene(): Scene
    {
        return HandModel::build($this->pose, $this->elbow());
    }

    public function outline(): Scene
    {
        return HandModel::build($this->pose, $this->elbow(), false);
    }

    public function elbow(): Frame
    {
        return (new Frame())->flex($this->elbowDegrees);
    }

    /** The pose of a second hand that meets this one palm to palm. */
    public function meeting(): Pose
    {
        $pose = $this->otherPose ?? $this->pose;

        return null === $this->otherWristDegrees
            ? $pose
            : Pose::clamped(['wrist' => $this->otherWristDegrees] + $pose->toArray());
    }

    public function towards(Subject $other, float $share): self
    {
        if (!$other instanceof self) {
            throw new \LogicException('A hand cannot turn into a figure.');
        }
        $mix = static fn (float $a, float $b): float => $a + ($b - $a) * $share;

        return new self(
            $this->name.'>'.$other->name,
            $this->pose->towards($other->pose, $share),
            $mix($this->elbowDegrees, $other->elbowDegrees),
            $mix($this->gapMillimetres, $other->gapMillimetres),
            otherWristDegrees: null,
            otherPose: $this->meeting()->towards($other->meeting(), $share),
            turn: $mix($this->turn, $other->turn),
        );
    }

    public function pivot(): string
    {
        return 'hand';
    }

    public function turnDegrees(): float
    {
        return $this->turn;
    }

    public function toArray(): array
    {
        return [
            'angles' => $this->pose->toArray(),
            'elbow' => $this->elbowDegrees,
            'gap' => $this->gapMillimetres,
            'other' => $this->otherWristDegrees,
            'otherPose' => $this->otherPose?->toArray(),
            'turn' => $this->turn,
        ];
    }
}
