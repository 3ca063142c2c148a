<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Placement\Needed;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Core\Placement\RungState;
use HandGarden\Library\PlacementWords;
use HandGarden\Web\Wording;

/** Placements as pages show them: a stem with a node for each rung. */
final readonly class PlacementViews
{
    public function __construct(
        private PlacementWords $words,
        private Wording $wording,
    ) {
    }

    /** @param list<string> $approved `rung|side` that count as reached */
    public function ladder(LadderPlacement $placed, array $approved = []): LadderView
    {
        $standing = $placed->standingRung();
        $nodes = [];
        $reached = null !== $standing && $placed->ladder->kind->isClimbed();
        foreach ($placed->rungs as $rung) {
            if (RungState::NoFit === $rung->state) {
                continue;
            }
            $isBud = $placed->ladder->kind->isClimbed() ? $rung->rung === $standing : $rung->isIn();
            $reached = $reached && !$isBud;
            $leaf = $reached
                || \in_array(
                    (new RungOnSide($rung->rung->id, $placed->side))->text(),
                    $approved,
                    true,
                );
            $nodes[] = new NodeView(
                $rung->rung->id,
                $rung->rung->name,
                match (true) {
                    $isBud => 'bud',
                    $leaf => 'leaf',
                    default => 'bare',
                },
                $rung->state->value,
                why: $this->words->placed($rung, $placed->side),
                maySet: [] === $rung->screening,
            );
        }
        $computed = $placed->standing?->rung->name;

        return new LadderView(
            $placed->ladder->key,
            $placed->ladder->name,
            $placed->ladder->strand->value,
            $placed->side->value,
            stateText: null !== $placed->override
                ? $this->wording->word('ladder_state.set')
                : $this->stateText($placed),
            state: $placed->state->value,
            standing: $standing?->name,
            why: null !== $placed->standing
                ? $this->words->placed($placed->standing, $placed->side)
                : '',
            next: null === $placed->next ? null : $placed->next->rung->name,
            nextState: null === $placed->next ? '' : $placed->next->state->value,
            nextWhy: null === $placed->next ? '' : $this->words->placed($placed->next, $placed->side),
            overrideNote: $placed->override?->note,
            computed: $computed ?? 'none',
            nodes: $nodes,
            isPlacedOnce: $placed->ladder->isForBothHandsOnly(),
        );
    }

    /**
     * @param list<Needed> $needed
     *
     * @return list<array{text: string, side: string, seconds: int, ladders: int, code: string}>
     */
    public function needed(array $needed, Client $client): array
    {
        return array_map(fn (Needed $n): array => [
            'text' => $this->words->needed($n),
            'side' => \count($client->affected()) > 1
                || !\in_array($n->side, $client->affected(), true)
                ? $n->side->value
                : '',
            'seconds' => $n->seconds,
            'ladders' => $n->ladders(),
            'code' => $n->code,
        ], $needed);
    }

    private function stateText(LadderPlacement $placed): string
    {
        if (LadderState::Standing !== $placed->state || $placed->ladder->kind->isClimbed()) {
            return $this->wording->say($placed->state->words());
        }
        $fitting = array_filter(
            $placed->rungs,
            static fn (RungPlacement $r): bool => RungState::NoFit !== $r->state,
        );

        return $this->wording->word('ladder_state.some_in', [
            'in' => \count(array_filter($placed->rungs, static fn (RungPlacement $r): bool => $r->isIn())),
            'of' => \count($fitting),
        ]);
    }
}
