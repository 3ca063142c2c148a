<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Core\Routine\Refusal;

/** What speaks for and against a hands-on release of one hand today. */
final readonly class ReleaseHand
{
    /**
     * @param list<Refusal> $closed   what nobody's note lifts
     * @param list<Refusal> $lookAt   what a therapist who has looked may set aside, and says why
     * @param ?RungPlacement $placed  where the first exercise of it stands for this hand, and why
     * @param bool          $mayRaise the shoulder is free: the arm may be raised
     */
    public function __construct(
        public Side $side,
        public array $closed,
        public array $lookAt,
        public ?RungPlacement $placed,
        public bool $mayRaise,
    ) {
    }

    public function isOpen(): bool
    {
        return [] === $this->closed;
    }
}
