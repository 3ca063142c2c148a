<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\Kept;
use HandGarden\Core\Routine\Shape;
use HandGarden\Core\Words\Phrase;

/** A shape for one client on one day: what of it may be given to them, and why the rest may not. */
final readonly class ShapeToday
{
    public function __construct(
        private Plan $plan,
        private Briefs $briefs,
        private CatalogueStore $catalogue,
    ) {
    }

    /**
     * Everything passes the one door; what a note could set aside stays out as well, since nobody wrote one for this
     * client.
     *
     * @param string $from where it comes from, as the note of what stays in
     *
     * @return array{edits: Edits, focus: list<string>, out: list<array{name: string, why: Phrase}>}
     */
    public function for(Client $client, RoutineKind $kind, Shape $shape, string $from): array
    {
        $worse = $this->plan->worseSide($client);
        $door = $this->briefs->door($client, $kind);
        $pinned = $out = [];
        foreach ($shape->pinnedFor($worse) as $key) {
            if (!$this->catalogue->get()->hasRung($key->rungId)) {
                continue;
            }
            $rung = $this->catalogue->get()->rung($key->rungId);
            $refusals = $door->refusals($rung, $key->hands);
            if ([] === $refusals) {
                $pinned[] = $this->item($client, $kind, $key, $from);
            } else {
                $out[] = ['name' => $rung->name, 'why' => $refusals[0]->why];
            }
        }
        $placed = array_map(
            static fn (LadderPlacement $p): string => $p->ladder->key.'|'.$p->side->value,
            $this->plan->placements($client)->ladders,
        );

        return [
            'edits' => new Edits($pinned, $shape->forbiddenFor($worse)),
            'focus' => array_values(array_intersect($shape->focusFor($worse), $placed)),
            'out' => $out,
        ];
    }

    private function item(Client $client, RoutineKind $kind, ItemKey $key, string $from): Item
    {
        $rung = $this->catalogue->get()->rung($key->rungId);

        return new Item(
            $rung,
            $key->hands,
            $this->briefs->doseOf($client, $kind, $rung, $key->hands),
            new Phrase('reason.added'),
            kept: new Kept($from),
        );
    }
}
