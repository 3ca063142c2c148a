<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Routine\ItemKey;

/** One item as it was really done. Days are the client's own calendar days. */
final readonly class LogLine
{
    /**
     * @param list<Compensation> $compensations
     * @param ?Help              $help         beyond the hands of who it is prescribed for; null: nobody told
     * @param ?int               $repetitions  done in the poorest set; null: as planned when done
     * @param ?int               $holdSeconds  reached in every repetition; null: as planned when done
     * @param bool               $hurtLater    'Did it hurt more than two hours afterwards, or the next morning?'
     * @param bool               $newTingling  tingling or numbness that is new or worse
     * @param bool               $systemic     dizzy, breathless, chest pain, faint, signs of a stroke or a fit
     * @param Dose               $dose         with which it was done
     * @param ?int               $errors       wrong or missed ones; null: nobody counted
     * @param ?Felt              $whole        of the sitting as a whole; null: nobody told
     * @param ?SkipReason        $reason       why it was not done, or not all of it
     * @param bool               $fromPaper    typed in afterwards: what was reached counts only where it was written
     * @param ?Unlike            $unlike       themselves, in that sitting
     * @param bool               $asShown      marked for a whole class at once: done, and no evidence of how
     */
    public function __construct(
        public string $id,
        public string $sittingId,
        public string $rungId,
        public Hands $hands,
        public Dose $dose,
        public \DateTimeImmutable $day,
        public Outcome $outcome,
        public ?int $repetitions = null,
        public ?int $holdSeconds = null,
        public ?int $painBefore = null,
        public ?int $painAfter = null,
        public ?ToneAfter $tone = null,
        public ?Help $help = null,
        public array $compensations = [],
        public ?int $fatigue = null,
        public bool $newTingling = false,
        public bool $systemic = false,
        public bool $hurtLater = false,
        public ?int $errors = null,
        public ?Felt $felt = null,
        public ?Felt $whole = null,
        public ?SkipReason $reason = null,
        public bool $fromPaper = false,
        public bool $asShown = false,
        public ?Unlike $unlike = null,
    ) {
    }

    /**
     * @param string $id   by which evidence names it
     * @param Dose   $dose as it was planned
     */
    public static function from(
        string $id,
        string $sittingId,
        ItemKey $item,
        Dose $dose,
        \DateTimeImmutable $day,
        Told $told,
    ): self {
        return new self(
            $id,
            $sittingId,
            $item->rungId,
            $item->hands,
            dose: $told->doneOf($dose),
            day: $day,
            outcome: $told->outcome,
            repetitions: $told->repetitions,
            holdSeconds: $told->holdSeconds,
            painBefore: $told->painBefore,
            painAfter: $told->painAfter,
            tone: $told->tone,
            help: $told->help,
            compensations: $told->compensations,
            fatigue: $told->fatigue,
            newTingling: $told->newTingling,
            systemic: $told->systemic,
            hurtLater: $told->hurtLater,
            errors: $told->errors,
            felt: $told->felt,
            whole: $told->whole,
            reason: $told->reason,
            fromPaper: $told->fromPaper,
            asShown: $told->asShown,
            unlike: $told->unlike,
        );
    }

    public function withDay(\DateTimeImmutable $day): self
    {
        /** @var array{string, string, string, Hands, Dose, \DateTimeImmutable, Outcome} $all by property */
        $all = ['day' => $day] + get_object_vars($this);

        return new self(...$all);
    }

    public function itemKey(): string
    {
        return (new ItemKey($this->rungId, $this->hands))->text();
    }

    /** Pain after the item; late pain counts as 4 and up by 1. */
    public function painAfterCounted(): ?int
    {
        return $this->hurtLater ? max(4, $this->painAfter ?? 0) : $this->painAfter;
    }

    public function painRise(): int
    {
        $rise = null === $this->painAfter ? 0 : $this->painAfter - ($this->painBefore ?? 0);

        return $this->hurtLater ? max(1, $rise) : $rise;
    }

    /** The least share of count, hold and whole that was reached, 0 to 1. */
    public function reached(): float
    {
        $shares = [
            null === $this->repetitions ? null : $this->repetitions / max(
                1,
                $this->dose->repetitions,
            ),
            null === $this->holdSeconds || 0 === $this->dose->holdSeconds
                ? null
                : $this->holdSeconds / $this->dose->holdSeconds,
        ];
        $told = array_filter(
            $shares,
            static fn (?float $s): bool => null !== $s,
        );

        return [] === $told ? $this->outcome->share() : min(
            1.0,
            ...array_values($told),
        );
    }

    /** The count and the hold that were asked for were told. */
    private function hasItsNumbers(): bool
    {
        return ($this->dose->repetitions <= 1 || null !== $this->repetitions)
            && (0 === $this->dose->holdSeconds || null !== $this->holdSeconds);
    }

    /** Done in full, with the hold and the count that were set, without a trick movement. */
    public function metTarget(): bool
    {
        return Outcome::Done === $this->outcome
            && !$this->asShown
            && [] === $this->compensations
            && (!$this->fromPaper || $this->hasItsNumbers())
            && ($this->repetitions ?? $this->dose->repetitions) >= $this->dose->repetitions
            && ($this->holdSeconds ?? $this->dose->holdSeconds) >= $this->dose->holdSeconds;
    }
}
