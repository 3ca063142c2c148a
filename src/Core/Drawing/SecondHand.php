<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** A second hand: its pose, whose it is, which place of it lies where on the client's hand, and how it is turned. */
final readonly class SecondHand
{
    /**
     * @param bool                            $isOwn   the client's own other hand, else a helper's with a sleeve
     * @param array{float, float, float}|null $turn    tilt, roll and flex in degrees; null: laid palm to palm
     */
    public function __construct(
        public string $name,
        public ?Pose $pose,
        public bool $isOwn,
        public ?Place $hold,
        public ?Place $at,
        public ?array $turn,
        private ?Place $comesFrom = null,
        private float $share = 1.0,
    ) {
    }

    /** On the way from where another one lies. */
    public function comingFrom(self $other, float $share): self
    {
        return new self(
            $this->name,
            $this->pose,
            $this->isOwn,
            $this->hold,
            at: $this->at,
            turn: $this->turn,
            comesFrom: $other->at,
            share: $share,
        );
    }

    /** @return array{float, float, float}|null where it lies; null: palm to palm */
    public function target(Scene $scene): ?array
    {
        $at = $this->at?->in($scene);

        return null === $at || null === $this->comesFrom
            ? $at
            : Vector::mix($this->comesFrom->in($scene), $at, $this->share);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'pose' => $this->pose?->toArray(),
            'own' => $this->isOwn,
            'hold' => $this->hold?->toArray(),
            'at' => $this->at?->toArray(),
            'turn' => $this->turn,
        ];
    }
}
