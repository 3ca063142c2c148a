<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Joint angles of a whole figure in degrees. Trunk: lean forward +, to the own right +, turn to the own right +. Arm:
 * flexion (forward +), abduction, internal rotation, elbow flexion, wrist flexion. Leg: hip flexion, knee flexion, hip
 * abduction. The working arm is the figure's right one; a left one is the mirror image.
 *
 * @phpstan-type Arm array{float, float, float, float, float}
 * @phpstan-type Leg array{float, float, float}
 */
final readonly class BodyPose implements Subject
{
    public const TRUNK_LIMITS = [[-20, 70], [-35, 35], [-60, 60]];
    public const ARM_LIMITS = [[-60, 180], [-20, 175], [-90, 110], [0, 150], [-80, 80]];
    public const LEG_LIMITS = [[-30, 120], [0, 140], [-10, 45]];

    /**
     * @param array{float, float, float} $trunk
     * @param Arm                        $right
     * @param Arm                        $left
     * @param Leg                        $rightLeg
     * @param Leg                        $leftLeg
     * @param bool                       $open     hands open, else folded
     */
    public function __construct(
        public string $name,
        public array $trunk,
        public array $right,
        public array $left,
        public array $rightLeg,
        public array $leftLeg,
        public bool $seated = true,
        public bool $open = true,
        public Face $face = Face::Calm,
    ) {
    }

    public function scene(): Scene
    {
        return BodyModel::build($this);
    }

    public function outline(): Scene
    {
        return BodyModel::build($this);
    }

    public function towards(Subject $other, float $share): self
    {
        if (!$other instanceof self) {
            throw new \LogicException('A figure cannot turn into a hand.');
        }

        return new self(
            $this->name.'>'.$other->name,
            self::mixThree($this->trunk, $other->trunk, $share),
            self::mixArm($this->right, $other->right, $share),
            self::mixArm($this->left, $other->left, $share),
            rightLeg: self::mixThree(
                $this->rightLeg,
                $other->rightLeg,
                $share,
            ),
            leftLeg: self::mixThree($this->leftLeg, $other->leftLeg, $share),
            seated: $share < .5 ? $this->seated : $other->seated,
            open: $share < .5 ? $this->open : $other->open,
            face: $share < .5 ? $this->face : $other->face,
        );
    }

    /**
     * @param Leg $a
     * @param Leg $b
     *
     * @return Leg
     */
    private static function mixThree(array $a, array $b, float $share): array
    {
        return [
            $a[0] + ($b[0] - $a[0]) * $share,
            $a[1] + ($b[1] - $a[1]) * $share,
            $a[2] + ($b[2] - $a[2]) * $share,
        ];
    }

    /**
     * @param Arm $a
     * @param Arm $b
     *
     * @return Arm
     */
    private static function mixArm(array $a, array $b, float $share): array
    {
        return [
            ...self::mixThree(
                [$a[0], $a[1], $a[2]],
                [$b[0], $b[1], $b[2]],
                $share,
            ),
            $a[3] + ($b[3] - $a[3]) * $share,
            $a[4] + ($b[4] - $a[4]) * $share,
        ];
    }

    public function pivot(): string
    {
        return 'trunk';
    }

    public function turnDegrees(): float
    {
        return 0.0;
    }

    public function toArray(): array
    {
        return [
            'trunk' => $this->trunk,
            'right' => $this->right,
            'left' => $this->left,
            'legs' => [$this->rightLeg, $this->leftLeg],
            'seated' => $this->seated,
            'open' => $this->open,
            'face' => $this->face->value,
        ];
    }
}
