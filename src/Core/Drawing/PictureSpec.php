<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Side;

/**
 * Everything that decides how a picture looks; equal specs give equal pictures, so the picture is named by its spec.
 * `shown` stands in front, `ghost` behind it in dashes; both frame the picture, so that start and end do not jump.
 */
final readonly class PictureSpec
{
    /** Raise when model, lines or ink change: every picture then gets a new name. */
    public const MODEL_VERSION = 5;

    /**
     * @param list<string>    $focus       digits or limbs in the focus tint
     * @param list<ThingPart> $things      with the shown pose
     * @param list<ThingPart> $otherThings with the other pose
     */
    public function __construct(
        public Subject $shown,
        public View $view,
        public Side $side,
        public ?Subject $other = null,
        public bool $withGhost = false,
        public ?string $trace = null,
        public array $things = [],
        public array $otherThings = [],
        public ?SecondHand $secondHand = null,
        public ?SecondHand $otherSecondHand = null,
        public ?string $table = null,
        public ?string $zones = null,
        public array $focus = [],
        public float $weight = 1.25,
    ) {
    }

    public function hash(): string
    {
        return substr(hash('sha256', json_encode($this->toArray(), \JSON_THROW_ON_ERROR)), 0, 32);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'version' => self::MODEL_VERSION,
            'shown' => $this->shown->toArray(),
            'other' => $this->other?->toArray(),
            'view' => $this->view->value,
            'side' => $this->side->value,
            'ghost' => $this->withGhost,
            'trace' => $this->trace,
            'things' => self::parts($this->things),
            'otherThings' => self::parts($this->otherThings),
            'second' => [$this->secondHand?->toArray(), $this->otherSecondHand?->toArray()],
            'table' => $this->table,
            'zones' => $this->zones,
            'focus' => $this->focus,
            'weight' => $this->weight,
        ];
    }

    /**
     * @param list<ThingPart> $things
     *
     * @return list<array<string, mixed>>
     */
    private static function parts(array $things): array
    {
        return array_map(static fn (ThingPart $t): array => $t->toArray(), $things);
    }
}
