<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Clock;

/** Ends a sitting by the hand of whoever is signed in. */
final readonly class FinishSitting
{
    public function __construct(
        private SittingRepository $sittings,
        private Who $who,
        private Audit $audit,
        private Clock $clock,
    ) {
    }

    public function now(Sitting $sitting, Client $client, string $note = ''): void
    {
        $finished = SittingEvent::noted(
            $sitting,
            null,
            EventKind::Finished,
            actor: $this->who->actor(),
            time: EventTime::now($this->clock->now(), $client->zone),
            body: '' === $note ? [] : ['note' => $note],
        );
        $sitting->hears($finished);
        $this->sittings->keep($sitting, $finished);
        $this->audit->wrote('finished sitting', $sitting->clientId, $sitting->id);
    }
}
