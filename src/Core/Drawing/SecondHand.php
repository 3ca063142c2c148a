<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A second hand: its pose, whose it is, which place of it lies where on the client's hand, and how it is turned: by the
 * ways its fingers point and its palm faces. Without a place it is laid palm to palm.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class SecondHand
{
    /**
     * @param ?Vec $fingers  where its fingers point, on the axes of the client's forearm
     * @param ?Vec $palm     where its palm faces
     * @param bool $isSame   of the same side as the client's hand; else its mirror image
     */
    public function __construct(
        public string $name,
        public ?Pose $pose,
        public HandOwner $owner,
        public ?Place $hold = null,
        public ?Place $at = null,
        public ?array $fingers = null,
        public ?array $palm = null,
        public bool $isSame = false,
        private ?Place $comesFrom = null,
        private float $share = 1.0,
    ) {
    }

    /** On the way from where another one lies. */
    public function comingFrom(self $other, float $share): self
    {
        return new self(
            $this->name,
            null === $this->pose || null === $other->pose ? $this->pose : $other->pose->towards(
                $this->pose,
                $share,
            ),
            $this->owner,
            $this->hold,
            at: $this->at,
            fingers: self::between(
                $other->fingers,
                $this->fingers,
                $share,
            ),
            palm: self::between($other->palm, $this->palm, $share),
            isSame: $this->isSame,
            comesFrom: $other->at,
            share: $share,
        );
    }

    public function putInto(Scene $scene, NamedPose $subject, bool $withSkin): void
    {
        $target = $this->target($scene);
        if (null === $this->hold || null === $target || null === $this->fingers || null === $this->palm) {
            $this->layPalmToPalm($scene, $subject, $withSkin);

            return;
        }
        $second = HandModel::build(
            $this->pose ?? $subject->pose,
            null,
            $withSkin,
        );
        if ($this->owner->hasSleeve()) {
            Placing::sleeve($second);
        }
        $y = Vector::unit($this->fingers);
        $z = Vector::unit(Vector::sub($this->palm, Vector::times($y, Vector::dot($this->palm, $y))));
        $axes = new Frame(
            [0.0, 0.0, 0.0],
            Vector::cross($y, $z),
            $y,
            $z,
        );
        $point = $this->hold->in($second);
        $m = $this->isSame ? 1.0 : -1.0;
        $place = Vector::sub(
            $target,
            $axes->at($m * $point[0], $point[1], $point[2]),
        );
        Placing::hand(
            $scene,
            $second,
            $axes->atOrigin($place),
            !$this->isSame,
            body: $this->owner->body(),
        );
        $scene->anchors['other'] = $target;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'pose' => $this->pose?->toArray(),
            'owner' => $this->owner->value,
            'hold' => $this->hold?->toArray(),
            'at' => $this->at?->toArray(),
            'fingers' => $this->fingers,
            'palm' => $this->palm,
            'same' => $this->isSame,
            'from' => [$this->comesFrom?->toArray(), $this->share],
        ];
    }

    /**
     * @param ?Vec $a
     * @param ?Vec $b
     *
     * @return ?Vec
     */
    private static function between(?array $a, ?array $b, float $share): ?array
    {
        return null === $a || null === $b ? $b : Vector::mix($a, $b, $share);
    }

    private function layPalmToPalm(Scene $scene, NamedPose $subject, bool $withSkin): void
    {
        $at = new Frame(
            [0.0, 0.0, $subject->gapMillimetres],
            [-1.0, 0.0, 0.0],
            [0.0, 1.0, 0.0],
            [0.0, 0.0, -1.0],
        );
        $other = HandModel::build(
            $this->pose ?? $subject->meeting(),
            $subject->elbow(),
            $withSkin,
        );
        Placing::hand(
            $scene,
            $other,
            $at,
            true,
            body: $this->owner->body(),
        );
    }

    /** @return Vec|null where it lies; null: palm to palm */
    private function target(Scene $scene): ?array
    {
        $at = $this->at?->in($scene);

        return null === $at || null === $this->comesFrom
            ? $at
            : Vector::mix(
                $this->comesFrom->in($scene),
                $at,
                $this->share,
            );
    }
}
