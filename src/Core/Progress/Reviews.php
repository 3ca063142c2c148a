<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Statistics;
use HandGarden\Core\Words\Phrase;

/** Questions of which a therapist should look at something, and what holds everything until then. */
final readonly class Reviews
{
    private const TIGHTER_SHARE = 0.5;
    private const TIGHTER_FROM = 3;
    private const FALLEN_BELOW = 0.7;
    private const DAYS_RUNNING = 2;

    public function __construct(
        private ProgressSettings $settings,
    ) {
    }

    /** @param list<Prescribed> $items */
    public function propose(
        array $items,
        SittingLog $log,
        Holds $holds,
        Situation $now,
    ): ReviewsFound {
        $window = SittingLog::since($log->lines, $this->settings->windowFrom($now->today));
        $tighter = $this->tighterAllOver(PracticeDay::in($window));
        $fallen = $this->fallen($items, $log, $now->today);
        $whole = [
            ...self::cards('review.tighter', 'proposal.because.tighter_all_over', $tighter),
            ...self::cards('review.fallen', 'proposal.because.fallen', $fallen),
        ];
        $open = array_filter(
            $whole,
            static fn (Proposal $p): bool => !$now->quiet->silence($p, $log),
        );

        return new ReviewsFound(
            [
                ...$whole,
                ...$this->ofParts(
                    $holds->creeping(),
                    'review.creeping',
                    'proposal.because.creeping',
                ),
                ...$this->ofParts(
                    $holds->hurting(),
                    'review.part-hurts',
                    'proposal.because.part_hurts',
                ),
                ...$this->ofParts(
                    $holds->always(),
                    'review.usual-pain',
                    'proposal.because.usual_pain',
                ),
                ...$this->seldom($window, $now->daysPerWeek, $now->today),
            ],
            [] !== $open,
        );
    }

    /**
     * Tighter in half of the items or more, several days running.
     *
     * @param list<PracticeDay> $days
     *
     * @return list<LogLine>
     */
    private function tighterAllOver(array $days): array
    {
        $lines = [];
        $last = \array_slice($days, -self::DAYS_RUNNING);
        foreach ($last as $day) {
            $told = array_filter(
                $day->lines,
                static fn (LogLine $l): bool => null !== $l->tone,
            );
            $tighter = array_values(
                array_filter(
                    $told,
                    static fn (LogLine $l): bool => ToneAfter::Tighter === $l->tone,
                ),
            );
            if (
                \count($told) < self::TIGHTER_FROM
                || \count($tighter) < self::TIGHTER_SHARE * \count($told)
            ) {
                return [];
            }
            array_push($lines, ...$tighter);
        }

        return \count($last) < self::DAYS_RUNNING ? [] : $lines;
    }

    /**
     * Several items far under what they were in the weeks before, several days running.
     *
     * @param list<Prescribed> $items
     *
     * @return list<LogLine>
     */
    private function fallen(array $items, SittingLog $log, \DateTimeImmutable $today): array
    {
        $lines = [];
        foreach ($items as $item) {
            $days = PracticeDay::in(
                SittingLog::since(
                    $log->for($item->key()),
                    $this->settings->windowFrom($today),
                ),
            );
            $last = \array_slice($days, -self::DAYS_RUNNING);
            $before = \array_slice($days, 0, -self::DAYS_RUNNING);
            if (\count($before) < self::TIGHTER_FROM) {
                continue;
            }
            $usual = Statistics::median(array_map(self::done(...), $before));
            $low = array_filter(
                $last,
                static fn (PracticeDay $d): bool => self::done($d) < self::FALLEN_BELOW * $usual,
            );
            if (self::DAYS_RUNNING === \count($low)) {
                $lines[] = array_reverse($last)[0]->lines[0];
            }
        }

        return \count($lines) < $this->settings->fallenItems ? [] : $lines;
    }

    /** Seconds of hold and movement that were done, at the poorest of a day. */
    private static function done(PracticeDay $day): float
    {
        return min(array_map(
            static fn (LogLine $l): float => $l->reached() * $l->dose->repetitions
                * ($l->dose->moveSeconds + $l->dose->holdSeconds),
            $day->lines,
        ));
    }

    /**
     * One card for parts that the same answers speak of.
     *
     * @param list<array{ArmPart, Side, list<LogLine>}> $parts
     *
     * @return list<Proposal>
     */
    private function ofParts(array $parts, string $ruleId, string $code): array
    {
        $cards = [];
        foreach ($parts as [$part, $side, $lines]) {
            $cards[implode(
                ',',
                SittingLog::ids(\array_slice($lines, -1)),
            )] ??= new Proposal(
                ProposalKind::Review,
                $ruleId,
                new Phrase($code, [
                    'part' => $part->value,
                    'side' => $side->value,
                    'by' => $this->settings->creepBy,
                    'most' => $this->settings->usualPain,
                ]),
                SittingLog::ids(\array_slice($lines, -$this->settings->creepDays)),
            );
        }

        return array_values($cards);
    }

    /**
     * @param list<LogLine> $window
     *
     * @return list<Proposal>
     */
    private function seldom(
        array $window,
        int $daysPerWeek,
        \DateTimeImmutable $today,
    ): array {
        $planned = $daysPerWeek * $this->settings->windowDays / 7.0;
        $first = $window[0] ?? null;
        $done = \count(PracticeDay::in($window));
        $isWhole = null !== $first
            && $first->day <= $this->settings->windowFrom($today)->modify('+2 days');
        if (
            !$isWhole
            || $planned < $this->settings->seldomFrom
            || $done >= $this->settings->seldomBelow * $planned
        ) {
            return [];
        }

        return [new Proposal(
            ProposalKind::Review,
            'review.seldom',
            new Phrase(
                'proposal.because.seldom',
                ['done' => $done, 'planned' => round($planned)],
            ),
            SittingLog::ids(\array_slice($window, -1)),
        )];
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<Proposal>
     */
    private static function cards(string $ruleId, string $code, array $lines): array
    {
        return [] === $lines
            ? []
            : [new Proposal(
                ProposalKind::Review,
                $ruleId,
                new Phrase($code),
                SittingLog::ids($lines),
            )];
    }
}
