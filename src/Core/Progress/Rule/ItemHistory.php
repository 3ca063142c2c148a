<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Words\Phrase;

/** What a rule is asked with: the item as it is prescribed, and what was done of it. */
final readonly class ItemHistory
{
    /**
     * @param non-empty-list<LogLine> $window            of the last days, oldest first
     * @param \DateTimeImmutable      $begunOn           the day on which the item was first done
     * @param list<Rung>              $fitting           rungs of the ladder that fit the client, easiest first
     * @param float                   $scheduledInWindow sittings that were planned
     * @param int                     $usualPain         that is there anyway in what the item works
     */
    public function __construct(
        public Prescribed $item,
        public array $window,
        public \DateTimeImmutable $begunOn,
        public Ladder $ladder,
        private array $fitting,
        public ProgressSettings $settings,
        public float $scheduledInWindow,
        public \DateTimeImmutable $today,
        private int $usualPain = 0,
        private bool $atHome = true,
    ) {
    }

    /** Without what was marked for a whole class at once; null: nothing else was told. */
    public function ofWhatWasTold(): ?self
    {
        $told = array_values(array_filter($this->window, static fn (LogLine $l): bool => !$l->asShown));

        return [] === $told ? null : new self(
            $this->item,
            $told,
            $this->begunOn,
            $this->ladder,
            fitting: $this->fitting,
            settings: $this->settings,
            scheduledInWindow: $this->scheduledInWindow,
            today: $this->today,
            usualPain: $this->usualPain,
            atHome: $this->atHome,
        );
    }

    public function symptoms(): Symptoms
    {
        return new Symptoms($this->settings, $this->usualPain);
    }

    /** Pain up to which more may be asked. */
    public function painLimit(): int
    {
        return max($this->settings->painFrom, $this->usualPain + 1);
    }

    public function last(): LogLine
    {
        return $this->window[array_key_last($this->window)];
    }

    /** @param \Closure(LogLine): bool $is */
    public function newest(\Closure $is): ?LogLine
    {
        foreach (array_reverse($this->window) as $line) {
            if ($is($line)) {
                return $line;
            }
        }

        return null;
    }

    public function steps(): DoseSteps
    {
        return new DoseSteps($this->item->rung, $this->atHome);
    }

    /** One dose step down; null at the least. */
    public function lower(): ?Dose
    {
        return $this->steps()->down($this->item->dose);
    }

    /** One dose step below what a line was done with, where that was easier than it is prescribed now. */
    public function lowerThan(LogLine $line): ?Dose
    {
        $done = $this->difficulty($line->dose);
        $isEasier = $done->isAtMost($this->difficulty($this->item->dose));

        return $this->steps()->down(
            $isEasier ? $done->withSets($this->item->dose->sets) : $this->item->dose,
        );
    }

    /** The rung above or below among those that fit. */
    public function neighbour(int $step): ?Rung
    {
        $at = array_search($this->item->rung, $this->fitting, true);

        return false === $at ? null : ($this->fitting[$at + $step] ?? null);
    }

    /** As hard as it is prescribed; how often it was done says nothing of that. */
    public function isAtPrescribedDose(LogLine $line): bool
    {
        return $this->isAtLeastAsHard($line) && !$this->isHarder($line);
    }

    public function isHarder(LogLine $line): bool
    {
        return !$this->difficulty($line->dose)->isAtMost($this->difficulty($this->item->dose));
    }

    public function isAtLeastAsHard(LogLine $line): bool
    {
        return $this->difficulty($this->item->dose)->isAtMost($this->difficulty($line->dose));
    }

    private function difficulty(Dose $dose): Dose
    {
        return $this->item->rung->dosing->difficultyOf($dose);
    }

    /** @return list<PracticeDay> oldest first */
    public function days(): array
    {
        return PracticeDay::in($this->window);
    }

    /** @return list<PracticeDay> at the dose that is prescribed now, oldest first */
    public function daysAtThisDose(): array
    {
        return PracticeDay::in(array_values(array_filter(
            $this->window,
            $this->isAtPrescribedDose(...),
        )));
    }

    /** Days of the window on which it was made easier than the day before. */
    public function timesEased(): int
    {
        $times = 0;
        $doses = array_map(
            fn (LogLine $l): Dose => $this->difficulty($l->dose),
            $this->window,
        );
        $before = $doses[0];
        foreach ([...$doses, $this->difficulty($this->item->dose)] as $dose) {
            $times += $before->isAtMost($dose) ? 0 : 1;
            $before = $dose;
        }

        return $times;
    }

    public function hasAutomaticRule(): bool
    {
        foreach ($this->item->rung->dosing->progress as $spec) {
            if ($spec->kind->isAutomatic()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<LogLine>  $evidence
     * @param Dose|Rung|null $to       the dose or the rung that is proposed instead
     */
    public function proposal(
        ProposalKind $kind,
        string $ruleId,
        array $evidence,
        Phrase $why,
        Dose|Rung|null $to = null,
    ): Proposal {
        return new Proposal(
            $kind,
            $ruleId,
            $why,
            SittingLog::ids($evidence),
            rungId: $this->item->rung->id,
            hands: $this->item->hands,
            from: $this->item->dose,
            to: $to instanceof Dose ? $to : null,
            toRungId: $to instanceof Rung ? $to->id : null,
        );
    }

    /** What a line tells against doing more. */
    public static function why(LogLine $line): Phrase
    {
        $on = Phrase::day($line->day);

        return match (true) {
            $line->systemic => new Phrase('proposal.why.systemic', ['on' => $on]),
            $line->newTingling => new Phrase('proposal.why.tingling', ['on' => $on]),
            $line->hurtLater => new Phrase('proposal.why.hurt_later', ['on' => $on]),
            default => new Phrase('proposal.why.pain', [
                'before' => $line->painBefore ?? 0,
                'after' => $line->painAfter ?? '?',
                'on' => $on,
            ]),
        };
    }
}
