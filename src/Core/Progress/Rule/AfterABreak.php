<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Words\Phrase;

/** Days without a sitting: begin lower; after more of them measure and place again. */
final readonly class AfterABreak implements RoutineRule
{
    public function __construct(
        private ProgressSettings $settings,
    ) {
    }

    public function propose(array $items, SittingLog $log, \DateTimeImmutable $today): ?array
    {
        $last = $log->lastDay();
        $away = null === $last ? 0 : (int) $last->diff($today)->format('%r%a');
        $newest = SittingLog::ids(\array_slice($log->lines, -1));

        return match (true) {
            $away >= $this->settings->longBreakDays => [
                new Proposal(
                    ProposalKind::PlaceAgain,
                    'break.long',
                    new Phrase('proposal.because.long_break', ['days' => $away]),
                    $newest,
                ),
            ],
            $away >= $this->settings->breakDays => self::lower($items, $away, $newest),
            default => null,
        };
    }

    /**
     * @param list<Prescribed> $items
     * @param list<string>     $newest id of the newest line
     *
     * @return list<Proposal>
     */
    private static function lower(array $items, int $away, array $newest): array
    {
        $proposals = [];
        foreach ($items as $item) {
            $lower = (new DoseSteps($item->rung))->down($item->dose);
            if (null !== $lower && $item->rung->load->class->needsPreparation()) {
                $proposals[] = new Proposal(
                    ProposalKind::StepDownAfterBreak,
                    'break.week',
                    new Phrase('proposal.because.break', ['days' => $away]),
                    $newest,
                    rungId: $item->rung->id,
                    hands: $item->hands,
                    from: $item->dose,
                    to: $lower,
                );
            }
        }

        return $proposals;
    }
}
