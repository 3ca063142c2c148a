<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Progress\Rule\ItemHistory;

/** Reads the whole log and proposes what to change, most pressing first. */
final readonly class Proposer
{
    public function __construct(
        private Catalogue $catalogue,
        private ProgressSettings $settings = new ProgressSettings(),
    ) {
    }

    /**
     * @param list<Prescribed> $items      of the current routine
     * @param list<Condition>  $conditions of the client
     *
     * @return list<Proposal>
     */
    public function propose(
        array $items,
        SittingLog $log,
        array $conditions,
        int $daysPerWeek,
        \DateTimeImmutable $today,
    ): array {
        $whole = (new RoutineRules($this->settings))->propose($items, $log, $today);
        $proposals = $whole;
        $rules = new ItemRules();
        foreach ($items as $item) {
            $history = $this->history($item, $log, $conditions, $daysPerWeek, today: $today);
            $proposal = null === $history ? null : $rules->propose($history);
            if (null !== $proposal && !($proposal->kind->isMore() && [] !== $whole)) {
                $proposals[] = $proposal; // nothing grows while the whole is in question
            }
        }
        usort(
            $proposals,
            static fn (Proposal $a, Proposal $b): int => [
                $a->kind->precedence(),
                $a->key(),
            ] <=> [$b->kind->precedence(), $b->key()],
        );

        return $proposals;
    }

    /**
     * @param list<Condition> $conditions
     *
     * @return ?ItemHistory null: nothing was done of it in the window
     */
    private function history(
        Prescribed $item,
        SittingLog $log,
        array $conditions,
        int $daysPerWeek,
        \DateTimeImmutable $today,
    ): ?ItemHistory {
        $lines = $log->for($item->key());
        $window = SittingLog::since($lines, $this->settings->windowFrom($today));
        if ([] === $window) {
            return null;
        }
        $ladder = $this->catalogue->ladderOf($item->rung->id);

        return new ItemHistory(
            $item,
            $window,
            $log->begunOn($item->key()) ?? $today,
            $ladder,
            fitting: $ladder->fittingRungs($conditions),
            settings: $this->settings,
            scheduledInWindow: $daysPerWeek * $this->settings->windowDays / 7.0,
            today: $today,
        );
    }
}
