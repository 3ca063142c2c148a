<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Approach\ChosenSchool;

/** What a therapist decided, and what rests. */
final readonly class Decided
{
    /** Stands among the suspended item keys when the whole routine rests. */
    public const EVERYTHING = '*';

    /**
     * @param list<string>       $met        `rung|side` whose move-up evidence a therapist has approved; evidence in a
     *                                       log alone moves nothing
     * @param list<Override>     $overrides
     * @param list<string>       $suspended  item keys that rest until a therapist reopens them; `*` is everything
     * @param list<ChosenSchool> $approaches a therapist's choices; the rest follow from what is measured
     */
    public function __construct(
        public array $met = [],
        public array $overrides = [],
        public array $suspended = [],
        public array $approaches = [],
    ) {
    }

    /** @param list<string> $met */
    public function withMet(array $met): self
    {
        return new self($met, $this->overrides, $this->suspended, $this->approaches);
    }
}
