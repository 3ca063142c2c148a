<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Away;
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
        private int $daysPerWeek,
    ) {
    }

    public function propose(
        array $items,
        SittingLog $log,
        \DateTimeImmutable $today,
    ): ?array {
        $away = new Away($this->settings, $log, $this->daysPerWeek, $today);
        $newest = SittingLog::ids(\array_slice($log->lines, -1));

        return match (true) {
            !$away->isAway() => null,
            $away->isLong() => [
                new Proposal(
                    ProposalKind::PlaceAgain,
                    'break.long',
                    new Phrase('proposal.because.long_break', ['days' => $away->daysNow()]),
                    $newest,
                ),
            ],
            $away->hasBeenAway($this->settings->onceInDays) => [],
            default => self::lower($items, $away->daysNow(), $newest),
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
            if (null !== $lower && self::startsLower($item, $lower)) {
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

    /** Active items only, and none below the dose it starts with. */
    private static function startsLower(Prescribed $item, Dose $lower): bool
    {
        $dosing = $item->rung->dosing;

        return $item->rung->load->class->needsPreparation()
            && $dosing->difficultyOf($dosing->start)->isAtMost($dosing->difficultyOf($lower));
    }
}
