<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Words\Phrase;

/** A suggested change, with what speaks for it; a therapist decides. */
final readonly class Proposal
{
    /**
     * @param ?string      $rungId   null when it speaks of the whole routine
     * @param list<string> $evidence ids of the log lines it rests on
     */
    public function __construct(
        public ProposalKind $kind,
        public string $ruleId,
        public Phrase $why,
        public array $evidence,
        public ?string $rungId = null,
        public ?Hands $hands = null,
        public ?Dose $from = null,
        public ?Dose $to = null,
        public ?string $toRungId = null,
    ) {
    }

    /** The same proposal on the same evidence has the same key, so that a declined one does not come back. */
    public function key(): string
    {
        return implode(
            '|',
            [
                $this->ruleId,
                $this->rungId ?? '',
                $this->hands->value ?? '',
                [] === $this->evidence ? '' : $this->evidence[array_key_last($this->evidence)],
            ],
        );
    }

    public function itemKey(): ?string
    {
        return null === $this->rungId || null === $this->hands
            ? null
            : (new ItemKey($this->rungId, $this->hands))->text();
    }
}
