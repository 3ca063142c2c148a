<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\Progress\Rule\ItemHistory;
use HandGarden\Core\Words\Joint;
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
     * @param list<Prescribed> $items of the current routine
     *
     * @return list<Proposal>
     */
    public function propose(array $items, SittingLog $log, Situation $now): array
    {
        return $this->asked($items, $log, $now)->proposals;
    }

    /**
     * The same, with what would grow but waits.
     *
     * @param list<Prescribed> $items of the current routine
     */
    public function asked(array $items, SittingLog $log, Situation $now): Asked
    {
        $log = $log->upTo($now->today);
        $whole = (new RoutineRules(
            $this->settings,
            $now->daysPerWeek,
        ))->propose($items, $log, $now->today);
        $holds = new Holds(
            $this->catalogue,
            $this->settings,
            $log,
            $now,
        );
        $reviews = (new Reviews($this->settings))->propose(
            $items,
            $log,
            $holds,
            $now,
        );
        $ofItems = $this->ofItems($items, $log, $now);
        $proposals = [...$whole, ...$reviews->proposals];
        $growth = [];
        foreach ($ofItems as [$item, $proposal]) {
            if ($proposal->kind->isMore() || ProposalKind::Plateau === $proposal->kind) {
                $growth[] = [$item, $proposal]; // of what waits it is no plateau
            } else {
                $proposals[] = $proposal;
            }
        }
        $holds->whileOpen($ofItems, $now->answered);
        $mayGrow = [] === $whole && !$reviews->holdAll;
        $steps = $waiting = [];
        foreach ($growth as [$item, $proposal]) {
            $why = $holds->on($item)->why ?? ($mayGrow ? null : new Phrase('held.whole'));
            if (null === $why && ProposalKind::Plateau === $proposal->kind) {
                $proposals[] = $proposal;
                continue;
            }
            [$step, $why] = null === $why
                ? $this->asPlaced($item, $proposal, $now)
                : [
                    null,
                    $why,
                ];
            if (null !== $step) {
                $steps[] = [$item, $step];
            } elseif (null !== $why) {
                $waiting[] = [$item, $why];
            }
        }
        $taken = $this->notTooMuch($steps, $now);
        foreach ($steps as [$item, $proposal]) {
            if (!\in_array($proposal, $taken, true)) {
                $waiting[] = [$item, new Phrase('held.enough')];
            }
        }
        $proposals = [
            ...$this->onePlateauALadder($proposals, $waiting),
            ...$taken,
        ];
        usort(
            $proposals,
            static fn (Proposal $a, Proposal $b): int => [
                $a->kind->precedence(),
                $a->key(),
            ] <=> [
                $b->kind->precedence(),
                $b->key(),
            ],
        );

        return new Asked($proposals, $waiting);
    }

    /**
     * @param list<Prescribed> $items
     *
     * @return list<array{Prescribed, Proposal}>
     */
    private function ofItems(array $items, SittingLog $log, Situation $now): array
    {
        $rules = new ItemRules();
        $found = [];
        foreach ($items as $item) {
            $history = $this->history($item, $log, $now);
            $proposal = null === $history
                ? null
                : $rules->propose(
                    $history,
                    $now->answered,
                );
            if (null !== $proposal) {
                $found[] = [$item, $proposal];
            }
        }

        return $found;
    }

    /**
     * A next exercise is proposed only where it would stand today; where only something is to be measured for it, that
     * is asked for.
     *
     * @return array{?Proposal, ?Phrase} what is proposed, or why it waits
     */
    private function asPlaced(Prescribed $item, Proposal $proposal, Situation $now): array
    {
        if (
            ProposalKind::NextRung !== $proposal->kind
            || null === $proposal->toRungId
            || null === $now->ahead
        ) {
            return [$proposal, null];
        }
        $next = $this->catalogue->rung($proposal->toRungId);
        $unknown = [];
        foreach ($now->ahead->place($item->rung, $next, $item->hands) as $placed) {
            if (RungState::Measure === $placed->state) {
                array_push($unknown, ...$placed->findings);
            } elseif (RungState::In !== $placed->state) {
                return [
                    null,
                    new Phrase('held.not_placed', ['rung' => $next->name]),
                ];
            }
        }

        return [
            [] === $unknown ? $proposal : $this->toMeasure($proposal, $next, $unknown),
            null,
        ];
    }

    /** @param non-empty-list<Finding> $unknown */
    private function toMeasure(Proposal $proposal, Rung $next, array $unknown): Proposal
    {
        $codes = array_values(
            array_unique(array_map(
                static fn (Finding $f): string => $f->atom->code,
                $unknown,
            )),
        );
        $words = $this->catalogue->vocabulary;

        return new Proposal(
            ProposalKind::ReadyToTry,
            'advance.ready-to-try',
            new Phrase('proposal.because.ready', [
                'rung' => $next->name,
                'what' => Joint::Comma->joining(
                    array_map($words->label(...), $codes),
                ),
                'seconds' => array_sum(
                    array_map($words->secondsToTake(...), $codes),
                ),
            ]),
            $proposal->evidence,
            rungId: $proposal->rungId,
            hands: $proposal->hands,
            from: $proposal->from,
            toRungId: $next->id,
        );
    }

    /**
     * @param list<array{Prescribed, Proposal}> $steps
     *
     * @return list<Proposal> those that are not too much in a week
     */
    private function notTooMuch(array $steps, Situation $now): array
    {
        $pace = new Pace(
            $this->catalogue,
            $this->settings,
            $now->steps,
            $now->today,
        );
        $taken = [];
        foreach ($steps as [$item, $proposal]) {
            if (!$proposal->kind->isMore() || $pace->allows($item, $proposal)) {
                $taken[] = $proposal;
            }
        }

        return $taken;
    }

    /**
     * Of what waits it is no plateau.
     *
     * @param list<Proposal>                  $proposals
     * @param list<array{Prescribed, Phrase}> $waiting
     *
     * @return list<Proposal>
     */
    private function onePlateauALadder(array $proposals, array $waiting): array
    {
        $seen = [];
        foreach ($waiting as [$item]) {
            $seen[$this->catalogue->ladderOf($item->rung->id)->key.'|'.$item->hands->value] = true;
        }

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

    /** @return ?ItemHistory null: nothing was done of it in the window */
    private function history(
        Prescribed $item,
        SittingLog $log,
        Situation $now,
    ): ?ItemHistory {
        $lines = $log->for($item->key());
        $from = $this->settings->evidenceFrom($lines, $now->today);
        $window = SittingLog::since($lines, $from);
        if ([] === $window) {
            return null;
        }
        $ladder = $this->catalogue->ladderOf($item->rung->id);

        return new ItemHistory(
            $item,
            $window,
            $log->begunOn($item->key()) ?? $now->today,
            $ladder,
            fitting: $ladder->fittingRungs($now->conditions),
            settings: $this->settings,
            scheduledInWindow: $item->share * $now->daysPerWeek * (int) $from->diff($now->today)->format(
                '%a',
            ) / 7.0,
            today: $now->today,
            usualPain: $now->usual->of(
                WorkedParts::of($item->rung),
                $item->hands,
            ),
            atHome: $now->atHome,
        );
    }
}
