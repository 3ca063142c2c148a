<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;

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
                'Dizzy, breathless, chest pain, faint or signs of a stroke: the whole routine rests until a '
                    .'therapist has looked.',
                SittingLog::ids($systemic),
            ),
        ];
    }
}
