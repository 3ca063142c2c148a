<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;

/** An item as it was given, in plain values. */
final readonly class Given
{
    public function __construct(
        public Rung $rung,
        public Hands $hands,
        public Dose $dose,
        public Dose $prescribed,
        public int $seconds,
        public bool $isFirst,
    ) {
    }

    public function key(): string
    {
        return $this->rung->id.'|'.$this->hands->value;
    }
}
