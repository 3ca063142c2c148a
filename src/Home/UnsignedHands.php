<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\Marks;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SignOff;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingRepository;

/**
 * A device may have a plan of before a sign-off ended, or say what it likes: work by hands that were not signed for it
 * when it was done is kept, marked, and no evidence until a therapist has looked.
 */
final readonly class UnsignedHands
{
    public function __construct(
        private Helpers $helpers,
        private Marks $marks,
        private Briefs $briefs,
        private CatalogueStore $catalogue,
        private SittingRepository $sittings,
    ) {
    }

    public function note(Sitting $sitting, Client $client, Node $batch, EventTime $time): void
    {
        $helper = $this->whoIsThere($client, $batch);
        if (null === $helper) {
            return;
        }
        $signed = SignOff::keysOf(
            $this->marks->signedAt($client, $time->at, $time->day),
            [$helper->id => $helper],
        );
        $alone = $this->briefs->doorAlone($client, RoutineKind::Home);
        foreach ($this->sittings->items($sitting) as $item) {
            $rung = $this->catalogue->rung($item->rungId);
            $isByHand = null !== $rung && $rung->asksForHands() && null !== $alone->closes(
                $rung,
                $item->hands,
            );
            if ($isByHand && !self::isSigned($item, $client, $signed)) {
                $this->sittings->keep(SittingEvent::noted(
                    $sitting,
                    $item,
                    EventKind::Unsigned,
                    actor: $sitting->actor(),
                    time: $time,
                ));
            }
        }
    }

    /** @param list<string> $signed `rung|side` */
    private static function isSigned(SittingItem $item, Client $client, array $signed): bool
    {
        $asked = array_map(
            static fn (RungOnSide $r): string => $r->text(),
            RungOnSide::ofThese($item->rungId, $item->hands, $client->affected()),
        );

        return [] === array_diff($asked, $signed);
    }

    /** As it was told when the sitting began; null: nobody who helps. */
    private function whoIsThere(Client $client, Node $batch): ?Helper
    {
        foreach ($batch->get('events')->items() as $event) {
            $id = 'begun' === $event->optional('kind')?->string()
                ? $event->optional('body')?->optional('helper')?->string()
                : null;
            if (null !== $id) {
                return $this->helpers->find($client, $id);
            }
        }

        return null;
    }
}
