<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Levels;

/** What was told of one item after it was done. */
final readonly class Told
{
    /**
     * @param ?int               $repetitions  done in the poorest set; null: as planned when done
     * @param ?int               $holdSeconds  reached in every repetition; null: as planned when done
     * @param ?int               $painBefore   0 to 10
     * @param ?int               $painAfter    0 to 10
     * @param list<Compensation> $compensations
     * @param ?int               $fatigue      0 to 10
     * @param bool               $newTingling  tingling or numbness that is new or worse
     * @param bool               $systemic     dizzy, breathless, chest pain, faint, signs of a stroke or a fit
     * @param bool               $hurtLater    it hurt for more than two hours afterwards, or the next morning
     * @param ?int               $errors       wrong or missed ones; null: nobody counted
     * @param ?int               $drops        pieces dropped; null: nobody counted
     * @param ?float             $loadKilograms with which it was really done; null: as planned
     * @param ?SkipReason        $reason       why it was not done, or not all of it
     * @param ?int               $wornMinutes  that something was worn; null: nothing was, or nobody told
     * @param ?Skin              $skin         under it, afterwards
     * @param array<string, Noticed> $noticed  by what was asked
     * @param ?Felt              $whole        how hard the sitting was as a whole, told at its end
     * @param bool               $fromPaper    written down by hand and typed in afterwards
     * @param ?Levels            $levels       at which it was really done, where they were not as planned
     * @param ?Unlike            $unlike       themselves, in that sitting; told of who cannot tell
     * @param bool               $asShown      marked for a whole class at once: done, and nobody told how
     */
    public function __construct(
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
        public string $note = '',
        public ?int $errors = null,
        public ?int $drops = null,
        public ?Felt $felt = null,
        public ?float $loadKilograms = null,
        public ?Levels $levels = null,
        public ?SkipReason $reason = null,
        public ?int $wornMinutes = null,
        public ?Skin $skin = null,
        public array $noticed = [],
        public ?Felt $whole = null,
        public bool $fromPaper = false,
        public bool $asShown = false,
        public ?Unlike $unlike = null,
    ) {
    }

    /** What was really done, where a dose was planned. */
    public function doneOf(Dose $planned): Dose
    {
        $done = null === $this->loadKilograms ? $planned : $planned->withLoad($this->loadKilograms);

        return null === $this->levels ? $done : $done->atLevels($this->levels);
    }

    /** Told after an earlier word on the same item: what was done is this, what hurt stays. */
    public function after(self $earlier): self
    {
        $isTighter = ToneAfter::Tighter === $this->tone || ToneAfter::Tighter === $earlier->tone;

        return new self(
            $this->outcome,
            $this->repetitions,
            $this->holdSeconds,
            self::least($this->painBefore, $earlier->painBefore),
            painAfter: self::most($this->painAfter, $earlier->painAfter),
            tone: $isTighter ? ToneAfter::Tighter : $this->tone ?? $earlier->tone,
            help: $this->help ?? $earlier->help,
            compensations: self::all($earlier->compensations, $this->compensations),
            fatigue: self::most($this->fatigue, $earlier->fatigue),
            newTingling: $this->newTingling || $earlier->newTingling,
            systemic: $this->systemic || $earlier->systemic,
            hurtLater: $this->hurtLater || $earlier->hurtLater,
            note: trim($earlier->note."\n".$this->note),
            errors: $this->errors ?? $earlier->errors,
            drops: $this->drops ?? $earlier->drops,
            felt: Felt::harder($this->felt, $earlier->felt),
            loadKilograms: $this->loadKilograms ?? $earlier->loadKilograms,
            levels: $this->levels ?? $earlier->levels,
            reason: $this->reason,
            wornMinutes: self::most($this->wornMinutes, $earlier->wornMinutes),
            skin: Skin::worse($this->skin, $earlier->skin),
            noticed: $this->noticed + $earlier->noticed,
            whole: Felt::harder($this->whole, $earlier->whole),
            fromPaper: $this->fromPaper || $earlier->fromPaper,
            asShown: $this->asShown,
            unlike: $this->unlike ?? $earlier->unlike,
        );
    }

    /** @param array<string, Noticed> $noticed by what was asked; a later answer counts */
    public function withNoticed(array $noticed): self
    {
        return $this->with(['noticed' => $noticed + $this->noticed]);
    }

    /**
     * What was told at the end of the sitting. Of pain an answer of its own counts more.
     *
     * @param ?int $pain 0 to 10
     */
    public function withTheEnd(?int $pain, ?Felt $whole, ?Unlike $unlike = null): self
    {
        return $this->with([
            'painAfter' => $this->painAfter ?? $pain,
            'whole' => $whole ?? $this->whole,
            'unlike' => $unlike ?? $this->unlike,
        ]);
    }

    /**
     * What was told of it afterwards counts more.
     *
     * @param array<string, int> $totals that were kept while it was done
     */
    public function withTotals(array $totals): self
    {
        return $this->with([
            'repetitions' => $this->repetitions ?? $totals['repetitions'] ?? null,
            'errors' => $this->errors ?? $totals['errors'] ?? null,
            'drops' => $this->drops ?? $totals['drops'] ?? null,
        ]);
    }

    /** @param array<string, mixed> $changed by property */
    private function with(array $changed): self
    {
        /** @var array{outcome: Outcome} $all */
        $all = array_merge(get_object_vars($this), $changed);

        return new self(...$all);
    }

    public function hurtLater(): self
    {
        return $this->after(
            new self($this->outcome, hurtLater: true),
        );
    }

    private static function most(?int $a, ?int $b): ?int
    {
        return null === $a || null === $b ? $a ?? $b : max(
            $a,
            $b,
        );
    }

    private static function least(?int $a, ?int $b): ?int
    {
        return null === $a || null === $b ? $a ?? $b : min(
            $a,
            $b,
        );
    }

    /**
     * @param list<Compensation> $earlier
     * @param list<Compensation> $later
     *
     * @return list<Compensation>
     */
    private static function all(array $earlier, array $later): array
    {
        $all = [];
        foreach ([...$earlier, ...$later] as $compensation) {
            $all[$compensation->value] = $compensation;
        }

        return array_values($all);
    }
}
