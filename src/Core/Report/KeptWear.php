<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Wearing\WearStep;
use HandGarden\Core\Wearing\Worn;

/** What goes on being worn, for how long, and when somebody looks at its fit. */
final readonly class KeptWear
{
    public function __construct(
        public string $planId,
        public Worn $worn,
        public Side $side,
        public string $when,
        public WearStep $time,
        public \DateTimeImmutable $fitDueOn,
    ) {
    }
}
