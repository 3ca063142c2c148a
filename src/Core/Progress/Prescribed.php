<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Routine\Hands;

/** An item as it is prescribed now. */
final readonly class Prescribed
{
    public function __construct(public Rung $rung, public Hands $hands, public Dose $dose)
    {
    }

    public function key(): string
    {
        return $this->rung->id.'|'.$this->hands->value;
    }
}
