<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\LadderView;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionRepository;
use HandGarden\Sitting\SittingRepository;

/** The ladders of a client that are trained now, with their exercises of the routine. */
final readonly class FocusItems
{
    private const MOST = 3;
    private const DAYS = 5;

    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private DecisionRepository $decisions,
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
    ) {
    }

    /** @return list<FocusItem> those with an exercise first */
    public function of(Client $client, ClientCard $card): array
    {
        $byLadder = [];
        foreach ($this->plan->items($client) as $item) {
            if (!$item->isPause) {
                $byLadder[$this->catalogue->get()->ladderOf($item->rung->id)->key] ??= $item;
            }
        }
        $why = [];
        foreach ($this->decisions->for($client) as $decision) {
            $why[$decision->proposalKey] = $decision;
        }
        $focus = [];
        foreach ($card->ladders as $row) {
            $focus[] = $this->item(
                $client,
                $row['ladder'],
                $row['shapes'],
                $byLadder,
                why: $why,
            );
        }
        usort(
            $focus,
            static fn (FocusItem $a, FocusItem $b): int => (null === $a->exercise) <=> (null === $b->exercise),
        );

        return \array_slice($focus, 0, self::MOST);
    }

    /**
     * @param list<string>            $shapes
     * @param array<string, Item>     $byLadder
     * @param array<string, Decision> $why      by key of the proposal
     */
    private function item(
        Client $client,
        LadderView $ladder,
        array $shapes,
        array $byLadder,
        array $why,
    ): FocusItem {
        $item = $byLadder[$ladder->key] ?? null;
        if (null === $item) {
            return new FocusItem(
                $ladder,
                $shapes,
                null,
                null,
                since: null,
                because: null,
                strip: null,
            );
        }
        $history = $this->plans->doseHistory(
            $client,
            $item->key(),
        );
        $last = $history[array_key_last($history) ?? -1] ?? null;

        return new FocusItem(
            $ladder,
            $shapes,
            $item->rung->name,
            $item->dose,
            since: $last['at'] ?? null,
            because: $this->because($why[$last['of']->proposalKey ?? ''] ?? null),
            strip: Strip::of(
                $item->key(),
                $this->sittings->log($client),
                self::DAYS,
            ),
        );
    }

    private function because(?Decision $decision): ?Phrase
    {
        return $decision?->why();
    }
}
