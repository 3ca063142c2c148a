<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Words\Phrase;

/** What a log asks for, and what would grow but waits. */
final readonly class Asked
{
    /**
     * @param list<Proposal>                  $proposals most pressing first
     * @param list<array{Prescribed, Phrase}> $waiting   with why
     */
    public function __construct(
        public array $proposals,
        public array $waiting,
    ) {
    }
}
