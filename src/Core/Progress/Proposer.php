<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Progress\Rule\ItemHistory;
use HandGarden\Core\Words\Phrase;

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
        return $this->asked($items, $log, $conditions, $daysPerWeek, today: $today)->proposals;
    }

    /**
     * The same, with what would grow but waits.
     *
     * @param list<Prescribed> $items      of the current routine
     * @param list<Condition>  $conditions of the client
     */
    public function asked(
        array $items,
        SittingLog $log,
        array $conditions,
        int $daysPerWeek,
        \DateTimeImmutable $today,
    ): Asked {
        $log = $log->upTo($today);
        $whole = (new RoutineRules($this->settings, $daysPerWeek))->propose($items, $log, $today);
        $holds = new Holds($this->catalogue, $this->settings, $log, $daysPerWeek, today: $today);
        $reviews = (new Reviews($this->settings))->propose(
            $items,
            $log,
            $holds,
            $daysPerWeek,
            today: $today,
        );
        $proposals = [...$whole, ...$reviews->proposals];
        $mayGrow = [] === $whole && !$reviews->holdAll;
        $rules = new ItemRules();
        $steps = $waiting = [];
        foreach ($items as $item) {
            $history = $this->history($item, $log, $conditions, $daysPerWeek, today: $today);
            $proposal = null === $history ? null : $rules->propose($history);
            if (null === $proposal) {
                continue;
            }
            if (!$proposal->kind->isMore()) {
                $proposals[] = $proposal;
                continue;
            }
            $held = $holds->on($item);
            if ($mayGrow && null === $held) {
                $steps[] = [$item, $proposal];
            } else {
                $waiting[] = [$item, $held->why ?? new Phrase('held.whole')];
            }
        }
        $taken = $this->notTooMuch($steps);
        foreach ($steps as [$item, $proposal]) {
            if (!\in_array($proposal, $taken, true)) {
                $waiting[] = [$item, new Phrase('held.enough')];
            }
        }
        $proposals = [...$this->onePlateauALadder($proposals), ...$taken];
        usort(
            $proposals,
            static fn (Proposal $a, Proposal $b): int => [
                $a->kind->precedence(),
                $a->key(),
            ] <=> [$b->kind->precedence(), $b->key()],
        );

        return new Asked($proposals, $waiting);
    }

    /**
     * Not too much at once: so many steps of a part and in all; the others wait.
     *
     * @param list<array{Prescribed, Proposal}> $steps
     *
     * @return list<Proposal>
     */
    private function notTooMuch(array $steps): array
    {
        $taken = [];
        $ofPart = [];
        foreach ($steps as [$item, $proposal]) {
            $parts = [];
            foreach ($item->hands->each() as $side) {
                foreach (WorkedParts::of($item->rung) as $part) {
                    $parts[] = $part->value.'|'.$side->value;
                }
            }
            $isFull = [] !== array_filter(
                $parts,
                fn (string $p): bool => ($ofPart[$p] ?? 0) >= $this->settings->stepsOfAPart,
            );
            if ($isFull || \count($taken) >= $this->settings->stepsInAll) {
                continue;
            }
            $taken[] = $proposal;
            foreach ($parts as $part) {
                $ofPart[$part] = ($ofPart[$part] ?? 0) + 1;
            }
        }

        return $taken;
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return list<Proposal>
     */
    private function onePlateauALadder(array $proposals): array
    {
        $seen = [];

        return array_values(array_filter($proposals, function (Proposal $p) use (&$seen): bool {
            if (ProposalKind::Plateau !== $p->kind || null === $p->rungId) {
                return true;
            }
            $ladder = $this->catalogue->ladderOf($p->rungId)->key.'|'.($p->hands->value ?? '');
            $isFirst = !isset($seen[$ladder]);
            $seen[$ladder] = true;

            return $isFirst;
        }));
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
