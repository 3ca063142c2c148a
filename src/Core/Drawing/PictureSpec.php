<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Side;

/**
 * Everything that decides how a picture looks; equal specs give equal pictures, so the picture is named by its spec.
 * `shown` stands in front; `before` is where it came from, in dashes behind it; the window holds the whole strip, so
 * that nothing jumps from one still to the next.
 */
final readonly class PictureSpec
{
    /** Raise when model, lines or ink change: every picture then gets a new name. */
    public const MODEL_VERSION = 7;

    /**
     * @param list<Tableau>         $strip  all moments of the exercise, for the window
     * @param list<array{int, int, string}> $ways of places from one of them to another, for the window too
     * @param list<Place>           $crop   what has to be seen of the shown moments; none: all
     * @param ?self                 $inset  a close-up beside it
     * @param bool                  $isSmall    it is a close-up itself
     * @param bool                  $isGrounded every moment stands on the same ground
     */
    public function __construct(
        public Tableau $shown,
        public View $view,
        public Side $side,
        public array $strip = [],
        public array $ways = [],
        public ?Tableau $before = null,
        public bool $withGhost = true,
        public ?string $trace = null,
        public ?string $table = null,
        public ?string $zones = null,
        public array $crop = [],
        public float $cropMillimetres = 26.0,
        public ?self $inset = null,
        public bool $hasRoomForInset = false,
        public bool $isGrounded = false,
        public bool $isSmall = false,
        public float $weight = 1.25,
    ) {
    }

    public static function ofPose(NamedPose $pose, View $view, Side $side, ?string $zones = null): self
    {
        return new self(new Tableau($pose), $view, $side, zones: $zones);
    }

    public function hash(): string
    {
        return substr(
            hash('sha256', json_encode($this->toArray(), \JSON_THROW_ON_ERROR)),
            0,
            32,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'version' => self::MODEL_VERSION,
            'shown' => $this->shown->toArray(),
            'before' => $this->before?->toArray(),
            'ghost' => $this->withGhost,
            'strip' => array_map(static fn (Tableau $t): array => $t->toArray(), $this->strip),
            'ways' => $this->ways,
            'view' => $this->view->value,
            'side' => $this->side->value,
            'trace' => $this->trace,
            'table' => $this->table,
            'zones' => $this->zones,
            'crop' => [array_map(
                static fn (Place $p): array => $p->toArray(),
                $this->crop,
            ), $this->cropMillimetres],
            'grounded' => [$this->isGrounded, $this->isSmall],
            'inset' => [$this->inset?->toArray(), $this->hasRoomForInset],
            'weight' => $this->weight,
        ];
    }
}
