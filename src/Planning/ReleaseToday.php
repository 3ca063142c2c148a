<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Web\Clock;

/** Whether the hands-on release may be done with a client today; asked by somebody who carries the mark. */
final readonly class ReleaseToday
{
    public function __construct(
        private Plan $plan,
        private GivenToday $given,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @return list<ReleaseHand> of every hand that is treated */
    public function hands(Client $client): array
    {
        $catalogue = $this->catalogue->get();
        $facts = $this->plan->facts($client);
        $facts = $facts->withSetting($facts->setting->withReleaseTrained());
        $today = $this->clock->today($client->zone);
        $known = new KnownFacts($facts, $catalogue->vocabulary, $today);
        $door = new Door($catalogue, $facts, $known, $today);
        $first = $catalogue->rung($catalogue->handbook()->release->steps[0]->rungId);

        $placer = new Placer($catalogue);

        return array_map(static function (Side $side) use (
            $door,
            $first,
            $known,
            $placer,
            $facts,
        ): ReleaseHand {
            $closed = $lookAt = [];
            foreach ($door->refusals($first, Hands::fromSide($side)) as $refusal) {
                match (true) {
                    $refusal->isToShow => null, // a therapist's hands do it
                    $refusal->isByNote => $lookAt[] = $refusal,
                    default => $closed[] = $refusal,
                };
            }

            return new ReleaseHand(
                $side,
                $closed,
                $lookAt,
                placed: $placer->placeOne($first, $side, $facts, $known->today),
                mayRaise: true === $known->value('shoulder_free', null, $side),
            );
        }, $client->affected());
    }

    /** Grasp practice of this hand that the plan has for today, which is done in turn with the release. */
    public function grasp(Client $client, Side $side): ?Item
    {
        $grasp = $this->catalogue->get()->handbook()->release->grasp;
        foreach ([RoutineKind::Clinic, RoutineKind::Home] as $kind) {
            foreach ($this->given->for($client, $kind)->items as $item) {
                if ($item->rung->id === $grasp && $item->hands->covers($side)) {
                    return $item;
                }
            }
        }

        return null;
    }
}
