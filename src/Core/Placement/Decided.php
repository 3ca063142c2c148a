<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
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
     * @param list<string>       $suspended  item keys that rest until a therapist reopens them; `*` is everything,
     *                                       `part:` a part of the arm on a side
     * @param list<ChosenSchool> $approaches a therapist's choices; the rest follow from what is measured
     * @param list<string>|null  $shown      `rung|side` that was done beside a therapist once; null: nobody keeps
     *                                       that, nothing waits for it
     */
    public function __construct(
        public array $met = [],
        public array $overrides = [],
        public array $suspended = [],
        public array $approaches = [],
        public ?array $shown = null,
    ) {
    }

    /** As a part of the arm stands among what is suspended. */
    public static function partKey(ArmPart $part, Side $side): string
    {
        return 'part:'.$part->value.'|'.$side->value;
    }

    /** @param list<string> $shown `rung|side` */
    public function withShown(array $shown): self
    {
        return new self(
            $this->met,
            $this->overrides,
            $this->suspended,
            $this->approaches,
            shown: $shown,
        );
    }

    /** @param list<string> $met */
    public function withMet(array $met): self
    {
        return new self(
            $met,
            $this->overrides,
            $this->suspended,
            $this->approaches,
            shown: $this->shown,
        );
    }
}
