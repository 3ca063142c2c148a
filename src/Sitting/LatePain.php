<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Sitting\EventKind;

/** It hurt for hours after a sitting, or the next morning: told before the next one. */
final readonly class LatePain
{
    public function __construct(
        private SittingRepository $sittings,
        private EventKeeper $events,
        private AfterLogging $afterLogging,
        private Who $who,
    ) {
    }

    /**
     * @param list<SittingItem> $earlier of one sitting
     * @param string            $itemId  after which it hurt; empty: all of it
     */
    public function of(Client $client, array $earlier, string $itemId, EventTime $time): void
    {
        $sitting = [] === $earlier ? null : $this->sittings->find($client->clinicId, $earlier[0]->sittingId);
        if (null === $sitting) {
            return;
        }
        $this->sittings->together(function () use ($client, $earlier, $itemId, $time, $sitting): void {
            $hurt = [];
            foreach ($earlier as $item) {
                if ('' === $itemId || $item->id === $itemId) {
                    $hurt[] = SittingEvent::noted(
                        $sitting,
                        $item,
                        EventKind::HurtLater,
                        actor: $this->who->actor(),
                        time: $time,
                    );
                }
            }
            if ([] !== $hurt) {
                $this->events->keep($hurt, $earlier);
                $this->sittings->keep();
            }
            $this->afterLogging->painOf($client, $sitting->id, $time->receivedAt);
        });
    }
}
