<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Words\Phrase;

/** The last days were all very tiring, or the whole or most of it was called too hard: a quarter less time. */
final readonly class ShorterWhenTired implements RoutineRule
{
    public function __construct(
        private ProgressSettings $settings,
    ) {
    }

    public function propose(array $items, SittingLog $log, \DateTimeImmutable $today): ?array
    {
        $days = \array_slice(
            PracticeDay::in(SittingLog::since($log->lines, $this->settings->windowFrom($today))),
            -$this->settings->fatigueSittings,
        );
        $tiring = array_filter(
            $days,
            fn (PracticeDay $d): bool => ($d->fatigue() ?? 0) >= $this->settings->fatigueHigh
                || $d->isMostly(Felt::TooHard)
                || $d->wholeWas(Felt::TooHard),
        );
        $tired = array_map(fn (PracticeDay $d): LogLine => $this->mostTiring($d), array_values($tiring));

        return \count($tired) < $this->settings->fatigueSittings ? null : [
            new Proposal(
                ProposalKind::Shorten,
                'ease.fatigue',
                new Phrase('proposal.because.tired', [
                    'fatigue' => $this->settings->fatigueHigh,
                    'sittings' => $this->settings->fatigueSittings,
                ]),
                SittingLog::ids($tired),
            ),
        ];
    }

    private function mostTiring(PracticeDay $day): LogLine
    {
        foreach ($day->lines as $line) {
            if ($line->fatigue === $day->fatigue()) {
                return $line;
            }
        }

        return $day->lines[0];
    }
}
