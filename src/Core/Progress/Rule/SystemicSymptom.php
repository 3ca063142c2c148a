<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Words\Phrase;

/** Dizzy, breathless, chest pain, faint, signs of a stroke or a fit: everything rests. */
final readonly class SystemicSymptom implements RoutineRule
{
    public function __construct(
        private ProgressSettings $settings,
    ) {
    }

    public function propose(array $items, SittingLog $log, \DateTimeImmutable $today): ?array
    {
        $window = SittingLog::since($log->lines, $this->settings->windowFrom($today));
        $systemic = array_values(array_filter($window, static fn (LogLine $l): bool => $l->systemic));

        return [] === $systemic ? null : [
            new Proposal(
                ProposalKind::SuspendRoutine,
                'symptom.systemic',
                new Phrase('proposal.because.systemic'),
                SittingLog::ids($systemic),
            ),
        ];
    }
}
