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

    /** What a card is about, whatever it rests on: of one kind there is one open at a time. */
    public function cardKey(): string
    {
        return self::cardOf($this->key());
    }

    /** The same of a key that was kept. */
    public static function cardOf(string $key): string
    {
        return implode('|', \array_slice(explode('|', $key), 0, 3));
    }

    /** The newest line that a kept key rests on; empty: none. */
    public static function newestOf(string $key): string
    {
        return explode('|', $key, 4)[3] ?? '';
    }

    /** It is in force by itself, and stays so until it is answered. */
    public function holdsDown(): bool
    {
        return match ($this->kind) {
            ProposalKind::Ease,
            ProposalKind::RungBelow,
            ProposalKind::ReleaseFirst,
            ProposalKind::Lighter,
            ProposalKind::StepDownAfterBreak,
            ProposalKind::PlaceAgain,
            ProposalKind::Suspend,
            ProposalKind::Shorten => true,
            ProposalKind::SuspendRoutine, // rests by a record of its own
            ProposalKind::Advance,
            ProposalKind::NextRung,
            ProposalKind::ReadyToTry,
            ProposalKind::Plateau,
            ProposalKind::Review => false,
        };
    }

    /** How often it is done is less as well, and not only how hard it is. */
    public function isLessOften(): bool
    {
        return 'ease.tone-rest' === $this->ruleId;
    }

    public function isOfASymptom(): bool
    {
        return self::isRuleOfASymptom($this->ruleId);
    }

    public static function isRuleOfASymptom(string $ruleId): bool
    {
        return \in_array($ruleId, ['ease.pain', 'ease.suspend'], true);
    }

    public function itemKey(): ?string
    {
        return null === $this->rungId || null === $this->hands
            ? null
            : (new ItemKey($this->rungId, $this->hands))->text();
    }
}
