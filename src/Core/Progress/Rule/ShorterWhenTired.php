<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Words\Phrase;

/** The last sittings were all very tiring: a quarter less time. */
final readonly class ShorterWhenTired implements RoutineRule
{
    public function __construct(
        private ProgressSettings $settings,
    ) {
    }

    public function propose(array $items, SittingLog $log, \DateTimeImmutable $today): ?array
    {
        $window = SittingLog::since($log->lines, $this->settings->windowFrom($today));
        $tired = $this->tiredSittings($window);

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

    /**
     * The last sittings, as far as all of them were very tiring.
     *
     * @param list<LogLine> $window
     *
     * @return list<LogLine> one line a sitting
     */
    private function tiredSittings(array $window): array
    {
        $bySitting = [];
        foreach ($window as $line) {
            if (null !== $line->fatigue && ($bySitting[$line->sittingId]->fatigue ?? -1) < $line->fatigue) {
                $bySitting[$line->sittingId] = $line;
            }
        }
        $last = \array_slice(array_values($bySitting), -$this->settings->fatigueSittings);

        return array_values(
            array_filter($last, fn (LogLine $l): bool => ($l->fatigue ?? 0) >= $this->settings->fatigueHigh),
        );
    }
}
