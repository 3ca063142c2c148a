<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Needed;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Routine\Alternative;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\LeftOut;
use HandGarden\Core\Routine\Routine;
use HandGarden\Library\PlacementWords;
use HandGarden\Web\Wording;

/** Results as named values, ready to be printed as JSON. */
final readonly class ResultWriter
{
    public function __construct(
        private PlacementWords $words,
        private Wording $wording,
    ) {
    }

    /** @return array<string, mixed> */
    public function placements(Placements $placements): array
    {
        return [
            'placements' => array_map($this->ladder(...), $placements->ladders),
            'needs_measuring' => array_map(
                fn (Needed $n): array => [
                    'code' => $n->code,
                    'argument' => $n->argument,
                    'side' => $n->side->value,
                    'text' => $this->words->needed($n),
                    'seconds' => $n->seconds,
                    'ladders' => $n->ladders(),
                ],
                $placements->needed,
            ),
        ];
    }

    /**
     * @param list<Alternative> $else
     *
     * @return array<string, mixed>
     */
    public function routine(Routine $routine, array $else = []): array
    {
        $balance = $routine->sequence->balance();

        return [
            'seconds' => $routine->sequence->seconds(),
            'minutes_allowed' => $routine->limits->minutes,
            'effort' => round($routine->sequence->effort(), 1),
            'effort_budget' => $routine->limits->effortBudget(),
            'balance' => [
                'extension_seconds' => round($balance->extensionSeconds),
                'gripping_seconds' => round($balance->flexionSeconds),
            ],
            'value' => $routine->value,
            'value_at_most' => $routine->bound,
            'proved_best' => $routine->isProvedBest(),
            'items' => array_map(fn (Item $i): array => array_filter([
                'rung' => $i->rung->id,
                'name' => $i->rung->name,
                'hands' => $i->hands->value,
                'dose' => DoseFormat::write($i->dose),
                'seconds' => $i->seconds(),
                'block' => $i->block,
                'variant' => null === $i->variant ? null : $this->wording->say($i->variant),
                'variant_code' => $i->variant?->code,
                'reason' => $this->wording->say($i->reason),
                'reason_code' => $i->reason->code,
            ], static fn (mixed $v): bool => null !== $v), $routine->sequence->items),
            'left_out' => array_map(
                fn (LeftOut $l): array => [
                    'what' => $this->wording->say($l->label),
                    'why' => $this->wording->sentence($l->reason),
                    'why_code' => $l->reason->code,
                ],
                $routine->leftOut,
            ),
            'what_would_add' => array_map(
                fn (Alternative $a): array => [
                    'with' => $this->wording->say($a->with),
                    'gain' => $a->gain,
                    'adds' => $a->adds,
                ],
                $else,
            ),
        ];
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return array<string, mixed>
     */
    public function proposals(array $proposals): array
    {
        return ['proposals' => array_map(fn (Proposal $p): array => [
            'kind' => $this->wording->word('proposal.kind.'.$p->kind->value),
            'kind_code' => $p->kind->value,
            'rule' => $p->ruleId,
            'rung' => $p->rungId,
            'hands' => $p->hands?->value,
            'from' => null === $p->from ? null : DoseFormat::write($p->from),
            'to' => null === $p->to ? null : DoseFormat::write($p->to),
            'to_rung' => $p->toRungId,
            'text' => $this->wording->say($p->why),
            'text_code' => $p->why->code,
            'evidence' => $p->evidence,
        ], $proposals)];
    }

    /** @return array<string, mixed> */
    private function ladder(LadderPlacement $placed): array
    {
        return [
            'ladder' => $placed->ladder->key,
            'name' => $placed->ladder->name,
            'side' => $placed->side->value,
            'state' => $placed->state->value,
            'standing' => $placed->standingRung()?->id,
            'in' => array_values(
                array_map(
                    static fn (RungPlacement $r): string => $r->rung->id,
                    array_filter(
                        $placed->rungs,
                        static fn (RungPlacement $r): bool => $r->isIn(),
                    ),
                ),
            ),
            'instead' => $placed->ladder->insteadBelow,
            'override' => null === $placed->override
                ? null
                : ['rung' => $placed->override->rungId, 'note' => $placed->override->note],
            'reasons' => null === $placed->standing
                ? []
                : [$this->words->placed($placed->standing, $placed->side)],
            'next' => null === $placed->next ? null : [
                'rung' => $placed->next->rung->id,
                'state' => $placed->next->state->value,
                'conditions' => array_map(
                    static fn ($f): string => $f->text(),
                    $placed->next->findings,
                ),
                'text' => $this->words->placed($placed->next, $placed->side),
            ],
            'rungs' => array_map(
                static fn (RungPlacement $r): array => [
                    'rung' => $r->rung->id,
                    'state' => $r->state->value,
                ],
                array_values(
                    array_filter(
                        $placed->rungs,
                        static fn (RungPlacement $r): bool => RungState::NoFit !== $r->state,
                    ),
                ),
            ),
        ];
    }
}
