<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** One practice day of an item: what was asked, what was reached, and how it went. The day's worst answer counts. */
final readonly class StripDay
{
    /**
     * @param ?int         $asked   repetitions or seconds of a hold; null: it is done or not
     * @param ?int         $reached of what was asked; null: nobody told
     * @param float        $share   of the whole, 0 to 1
     * @param list<string> $tricks  codes of Compensation
     * @param list<string> $lineIds of the log
     */
    private function __construct(
        public \DateTimeImmutable $day,
        public Outcome $outcome,
        public ?SkipReason $reason,
        public bool $isHold,
        public ?int $asked,
        public ?int $reached,
        public float $share,
        public ?int $painBefore,
        public ?int $painAfter,
        public ?Help $help,
        public array $tricks,
        public ?ToneAfter $tone,
        public bool $isSymptom,
        public array $lineIds,
    ) {
    }

    /** @param non-empty-list<LogLine> $lines of one item and one day, in the order they were made */
    public static function of(array $lines): self
    {
        $done = array_values(array_filter(
            $lines,
            static fn (LogLine $l): bool => Outcome::Skipped !== $l->outcome,
        ));
        $of = [] === $done ? $lines : $done;
        usort(
            $of,
            static fn (LogLine $a, LogLine $b): int => $a->reached() <=> $b->reached(),
        );
        $worst = $of[0];
        $isHold = $worst->dose->holdSeconds > 0;
        $pains = static fn (string $when): array => array_filter(
            array_map(static fn (LogLine $l): ?int => 'before' === $when
                ? $l->painBefore
                : $l->painAfterCounted(), $of),
            static fn (?int $p): bool => null !== $p,
        );
        $asked = $isHold ? $worst->dose->holdSeconds : $worst->dose->repetitions;

        return new self(
            $worst->day,
            $worst->outcome,
            $worst->reason,
            $isHold,
            asked: $asked > 1 ? $asked : null,
            reached: self::reached($worst, $isHold, $asked),
            share: Outcome::Skipped === $worst->outcome ? 0.0 : $worst->reached(),
            painBefore: [] === $pains('before') ? null : max(
                $pains('before'),
            ),
            painAfter: [] === $pains('after') ? null : max(
                $pains('after'),
            ),
            help: self::mostHelp($of),
            tricks: self::tricksIn($of),
            tone: self::worstTone($of),
            isSymptom: [] !== array_filter(
                $of,
                static fn (LogLine $l): bool => $l->newTingling || $l->systemic || $l->hurtLater,
            ),
            lineIds: SittingLog::ids($lines),
        );
    }

    private static function reached(LogLine $line, bool $isHold, int $asked): ?int
    {
        return match (true) {
            Outcome::Skipped === $line->outcome => null,
            $isHold => $line->holdSeconds ?? (Outcome::Done === $line->outcome ? $asked : null),
            default => $line->repetitions ?? (Outcome::Done === $line->outcome ? $asked : null),
        };
    }

    /** @param list<LogLine> $lines */
    private static function mostHelp(array $lines): ?Help
    {
        $most = null;
        foreach ($lines as $line) {
            $isMore = null !== $line->help && (null === $most || $line->help->rank() > $most->rank());
            $most = $isMore ? $line->help : $most;
        }

        return $most;
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<string>
     */
    private static function tricksIn(array $lines): array
    {
        $codes = [];
        foreach ($lines as $line) {
            foreach ($line->compensations as $trick) {
                $codes[$trick->value] = $trick->value;
            }
        }

        return array_values($codes);
    }

    /** @param list<LogLine> $lines */
    private static function worstTone(array $lines): ?ToneAfter
    {
        $tones = array_map(
            static fn (LogLine $l): ?ToneAfter => $l->tone,
            $lines,
        );

        return \in_array(ToneAfter::Tighter, $tones, true)
            ? ToneAfter::Tighter
            : array_values(array_filter($tones))[0] ?? null;
    }
}
