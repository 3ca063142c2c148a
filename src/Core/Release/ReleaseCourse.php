<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

/** How a hands-on release goes: where it is, what it has been through, and why it ended. */
final readonly class ReleaseCourse
{
    /**
     * @param list<int>    $passed steps whose gate was met at least once
     * @param ?OpeningTest $before null: not tested yet
     * @param ?OpeningTest $after  the newest after the passive steps
     * @param int          $same   times the same at this step, one after another
     */
    private function __construct(
        private ReleaseTable $table,
        private ReleaseLimits $limits,
        public ReleasePlace $place,
        public array $passed = [],
        public int $tighter = 0,
        public int $same = 0,
        public ?OpeningTest $before = null,
        public ?OpeningTest $after = null,
        public ?ReleaseEnd $end = null,
    ) {
    }

    public static function begin(ReleaseTable $table, ReleaseLimits $limits, OpeningTest $before): self
    {
        return new self($table, $limits, $table->begin(), before: $before);
    }

    /**
     * @param int $seconds since the first step began
     */
    public function marked(ReleaseMark $mark, int $seconds): self
    {
        if (
            ReleaseStage::Positioning === $this->place->stage
            || ReleaseStage::Test === $this->place->stage
        ) {
            return $this;
        }
        $tighter = $this->tighter + (ReleaseMark::Tighter === $mark ? 1 : 0);
        $isStep = ReleaseStage::Passive === $this->place->stage;
        $passed = $isStep && $mark->eases()
            ? array_values(array_unique([...$this->passed, $this->place->step]))
            : $this->passed;
        $next = $this->table->after($this->place, $mark);
        $stays = $next->code() === $this->place->code();
        $marked = new self(
            $this->table,
            $this->limits,
            $next,
            $passed,
            tighter: $tighter,
            same: ReleaseMark::Same === $mark && $stays ? $this->same + 1 : 0,
            before: $this->before,
            after: $this->after,
        );

        return match (true) {
            $tighter >= $this->limits->tighter => $marked->positioned(ReleaseEnd::TooTight),
            $seconds >= $this->limits->seconds() => $marked->positioned(ReleaseEnd::TimeIsUp),
            default => $marked,
        };
    }

    /** What the slow opening after the passive steps says: only a clear drop leads to opening by oneself. */
    public function tested(OpeningTest $after, int $seconds): self
    {
        if (ReleaseStage::Test !== $this->place->stage || null === $this->before) {
            return $this;
        }
        $tested = $this->at(ReleasePlace::at(ReleaseStage::Active), $after, null);

        return match (true) {
            !$after->hasDroppedSince($this->before, $this->limits) => $tested->positioned(
                ReleaseEnd::NotDropped,
            ),
            $seconds >= $this->limits->seconds() => $tested->positioned(ReleaseEnd::TimeIsUp),
            default => $tested,
        };
    }

    public function positioned(ReleaseEnd $end): self
    {
        return $this->at(
            ReleasePlace::at(ReleaseStage::Positioning),
            $this->after,
            $this->end ?? $end,
        );
    }

    /** Nothing changes at this step: it may go on, or end with positioning. */
    public function mayAsWellEnd(): bool
    {
        return $this->same >= $this->limits->same;
    }

    private function at(ReleasePlace $place, ?OpeningTest $after, ?ReleaseEnd $end): self
    {
        return new self(
            $this->table,
            $this->limits,
            $place,
            $this->passed,
            tighter: $this->tighter,
            before: $this->before,
            after: $after,
            end: $end,
        );
    }
}
