<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Defaults of the progress rules, from practice; a clinic sets its own. See docs/sources.md. */
final readonly class ProgressSettings
{
    public function __construct(
        public int $windowDays = 14,
        /** The window reaches back to so many practice days of an item, and to so many days at most. */
        public int $leastWindowPractice = 4,
        public int $mostWindowDays = 42,
        public int $logDays = 56,
        public int $leastSittings = 3,
        public int $painFrom = 4,
        public int $painRise = 1,
        public int $painRiseAlone = 2,
        public int $painSuspends = 7,
        public int $tighterSittings = 2,
        public float $compensationShare = 1 / 3,
        public int $fatigueHigh = 8,
        public int $fatigueSittings = 2,
        public int $breakDays = 7,
        public int $longBreakDays = 14,
        public float $plateauAdherence = 0.7,
        /** Planned sittings that have to be missed before days without one are a time away. */
        public int $missedSittings = 3,
        /** Practice days back after which something may grow again. */
        public int $backDays = 3,
        /** Days within which a time away makes things easier once. */
        public int $onceInDays = 28,
        /** Practice days of a part on which nothing grows after a symptom. */
        public int $quietDays = 2,
        /** Practice days without any word on pain after which nothing grows. */
        public int $toldDays = 3,
        /** Pain (0 to 10) up to which more may be asked. */
        public int $usualPain = 3,
        /** Days of which the middle pain is compared with that of as many before, and the rise that counts. */
        public int $creepDays = 5,
        public int $creepBy = 2,
        /** Share of the target under which an item is too hard, on so many days running. */
        public float $missedBelow = 0.6,
        public int $missedDays = 2,
        /** Steps up in a week: of one item, of one part and in all. */
        public int $stepsOfAnItem = 2,
        public int $stepsOfAPart = 4,
        public int $stepsInAll = 6,
        /** Share of what was planned under which a smaller plan is talked about, from so many planned on. */
        public float $seldomBelow = 0.6,
        public int $seldomFrom = 6,
        /** Items far under what they were that ask for one look. */
        public int $fallenItems = 3,
        /** Days without tricks before more after it was made easier for them. */
        public int $cleanDays = 3,
    ) {
    }

    /** First day of which any rule asks; those of one item look back to the window alone. */
    public function logFrom(\DateTimeImmutable $today): \DateTimeImmutable
    {
        return $today->modify('-'.$this->logDays.' days');
    }

    /**
     * First day of the evidence on an item: that of the window, or of its last few practice days where that is earlier,
     * so that somebody who practises once a week is read too.
     *
     * @param list<LogLine> $lines of the item
     */
    public function evidenceFrom(
        array $lines,
        \DateTimeImmutable $today,
    ): \DateTimeImmutable {
        $days = PracticeDay::in(
            SittingLog::since($lines, $today->modify('-'.$this->mostWindowDays.' days')),
        );
        $few = \array_slice($days, -$this->leastWindowPractice);

        return [] === $few ? $this->windowFrom($today) : min(
            $this->windowFrom($today),
            $few[0]->day,
        );
    }

    /** First day that the rules of an item look back to. */
    public function windowFrom(\DateTimeImmutable $today): \DateTimeImmutable
    {
        return $today->modify('-'.$this->windowDays.' days');
    }
}
