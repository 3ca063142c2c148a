<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

/** How long a hands-on release goes on, and what has to change before the client is asked to open. */
final readonly class ReleaseLimits
{
    public function __construct(
        public int $minutes = 20,
        /** Times tighter in one sitting, after which it ends. */
        public int $tighter = 2,
        /** Times the same at one step, one after another, after which it may end. */
        public int $same = 2,
        /** Percent of opening. */
        public float $openingRise = 20.0,
        /** On the order of grades in which a full grade is 1. */
        public float $toneDrop = 1.0,
    ) {
    }

    /** @return array{seconds: int, tighter: int, same: int, openingRise: float, toneDrop: float} */
    public function told(): array
    {
        return [
            'seconds' => $this->seconds(),
            'tighter' => $this->tighter,
            'same' => $this->same,
            'openingRise' => $this->openingRise,
            'toneDrop' => $this->toneDrop,
        ];
    }

    public function seconds(): int
    {
        return 60 * $this->minutes;
    }
}
