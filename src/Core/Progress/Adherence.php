<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/**
 * How much of one item was done of what was planned, with the reasons that were given. A part is half; what rests after
 * a symptom is not asked for.
 */
final readonly class Adherence
{
    /**
     * @param float              $planned times in the window
     * @param float              $done    of them, at most all
     * @param array<string, int> $reasons how often, by code of SkipReason, the most frequent first
     */
    private function __construct(
        public Prescribed $item,
        public float $planned,
        public float $done,
        public array $reasons,
    ) {
    }

    /**
     * @param list<Prescribed> $items
     * @param list<string>     $suspended item keys
     *
     * @return list<self> those done least first
     */
    public static function of(
        array $items,
        SittingLog $log,
        int $daysPerWeek,
        \DateTimeImmutable $since,
        \DateTimeImmutable $today,
        array $suspended = [],
    ): array {
        $days = (int) $since->diff($today)->format('%a');
        $found = [];
        foreach ($items as $item) {
            $planned = $item->share * $daysPerWeek * $days / 7.0;
            if ($planned <= 0.0 || \in_array($item->key(), $suspended, true)) {
                continue;
            }
            $lines = SittingLog::since($log->lines, $since);
            $found[] = self::ofItem($item, $planned, $lines);
        }
        usort(
            $found,
            static fn (self $a, self $b): int => $a->share() <=> $b->share(),
        );

        return $found;
    }

    /** @param list<LogLine> $lines of the window */
    private static function ofItem(Prescribed $item, float $planned, array $lines): self
    {
        $done = 0.0;
        $reasons = [];
        foreach ($lines as $line) {
            if ($line->itemKey() !== $item->key()) {
                continue;
            }
            $done += $line->outcome->share();
            if (SkipReason::TurnedAway === $line->reason) {
                --$planned; // a no was not asked for
            }
            if (Outcome::Done !== $line->outcome && null !== $line->reason) {
                $reasons[$line->reason->value] = ($reasons[$line->reason->value] ?? 0) + 1;
            }
        }
        arsort($reasons);

        return new self(
            $item,
            max(0.0, $planned),
            min($done, max(0.0, $planned)),
            $reasons,
        );
    }

    /** 0 to 1. */
    public function share(): float
    {
        return $this->planned > 0.0 ? $this->done / $this->planned : 1.0;
    }

    /** What was said most often; null: nothing was. */
    public function mostly(): ?SkipReason
    {
        $first = array_key_first($this->reasons);

        return null === $first ? null : SkipReason::from($first);
    }

    /**
     * The same of several together.
     *
     * @param list<self> $all
     *
     * @return array<string, int> by code of SkipReason, the most frequent first
     */
    public static function reasonsOf(array $all): array
    {
        $reasons = [];
        foreach ($all as $one) {
            foreach ($one->reasons as $reason => $count) {
                $reasons[$reason] = ($reasons[$reason] ?? 0) + $count;
            }
        }
        arsort($reasons);

        return $reasons;
    }
}
