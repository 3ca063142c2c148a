<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

use HandGarden\Core\Catalogue\EffortClass;

/** One screening question: what a yes means, which rungs it keeps out and which facts the answer settles. */
final readonly class Question
{
    /**
     * @param array<string, bool> $gives          facts, `code` or `code(part)`, that a yes makes true or false
     *     and a no the opposite
     * @param bool                $endsHelping    a helper has to be shown anew after a new yes
     * @param array<string, bool> $givesOnYes     of which a no says nothing
     * @param list<EffortClass>   $shortensClasses classes whose holds are shortened; empty: all
     */
    public function __construct(
        public string $id,
        public string $text,
        public string $consequence,
        public Bars $bars,
        public ?int $maxHoldSeconds,
        public array $shortensClasses,
        public bool $isEmergency,
        public bool $isNote,
        public array $gives,
        public string $unblocks,
        public ?int $daysAfterInjection = null,
        public array $givesOnYes = [],
        public bool $endsHelping = false,
    ) {
    }
}
