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
    public const MODEL_VERSION = 3;

    /** @param list<string> $focus digits in the focus tint */
    public function __construct(
        public NamedPose $shown,
        public View $view,
        public Side $side,
        public ?NamedPose $other = null,
        public bool $withGhost = false,
        public ?string $trace = null,
        public ?string $thing = null,
        public ?string $otherHand = null,
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
        $pose = static fn (?NamedPose $p): ?array => null === $p ? null : ['angles' => $p->pose->toArray(), 'elbow' => $p->elbowDegrees, 'gap' => $p->gapMillimetres, 'other' => $p->otherWristDegrees];

        return ['version' => self::MODEL_VERSION, 'shown' => $pose($this->shown), 'other' => $pose($this->other), 'view' => $this->view->value, 'side' => $this->side->value, 'ghost' => $this->withGhost, 'trace' => $this->trace, 'thing' => $this->thing, 'otherHand' => $this->otherHand, 'table' => $this->table, 'zones' => $this->zones, 'focus' => $this->focus, 'weight' => $this->weight];
    }
}
