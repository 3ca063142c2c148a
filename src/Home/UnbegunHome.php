<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Sitting\Envelope;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Player;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Sitting\SittingScore;
use HandGarden\Sitting\UnbegunSittings;
use HandGarden\Web\Clock;

/** Makes a sitting of a slot, from the plan that the device had, whichever event comes first. */
final readonly class UnbegunHome implements UnbegunSittings
{
    public function __construct(
        private HomeDevices $devices,
        private HomePlans $plans,
        private ClientRepository $clients,
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
        private Envelope $envelope,
        private UnsignedHands $unsigned,
        private Audit $audit,
        private Clock $clock,
    ) {
    }

    public function begin(Player $player, Node $batch): ?array
    {
        $slot = $this->devices->slot($player->sittingId());
        if (null === $slot || $slot->clientId !== $player->clientId()) {
            return null;
        }
        $client = $this->clients->findToChange($slot->clinicId, $slot->clientId);
        if (null === $client) {
            return null;
        }
        $begun = $this->sittings->find($slot->clinicId, $slot->sittingId);
        if (null !== $begun) { // by another request, while this one waited for the client
            return [$begun, $client];
        }
        $time = $this->firstTime($batch, $client);
        $sitting = new Sitting(
            $client,
            $time->day,
            null,
            actor: $player->actor(),
            startedAt: $time->at,
            id: $slot->sittingId,
        );
        $slot->usedAt = $this->clock->now();
        $this->keepPlanned($sitting, $client, $batch);
        $this->unsigned->note($sitting, $client, $batch, $time);
        $device = $this->devices->byId($slot->deviceId);
        if (null !== $device && !$device->isIn()) {
            $this->sittings->keep(self::takenOut($sitting, $device, $client, $this->clock->now()));
        }
        $this->audit->wrote('began sitting', $client->id, $sitting->id);

        return [$sitting, $client];
    }

    /** From when on what the device sends of a sitting waits for a look. */
    public static function takenOut(
        Sitting $sitting,
        HomeDevice $device,
        Client $client,
        \DateTimeImmutable $now,
    ): SittingEvent {
        $since = $device->lostSince ?? $device->takenOutAt ?? $now;

        return SittingEvent::noted(
            $sitting,
            null,
            EventKind::TakenOut,
            actor: $sitting->actor(),
            time: EventTime::told($since, null, $now, $client->zone),
        );
    }

    /**
     * When its first event in this batch was made.
     *
     * @throws InvalidData
     */
    private function firstTime(Node $batch, Client $client): EventTime
    {
        $first = EventTime::now($this->clock->now(), $client->zone);
        foreach ($batch->get('events')->items() as $event) {
            $time = $this->envelope->time(
                $event->optional('at'),
                $batch->optional('sent_at'),
                $client->zone,
                age: $event->optional('age'),
            );
            $first = $time->at < $first->at ? $time : $first;
        }

        return $first;
    }

    /**
     * Its items and its score, where the plan has the list; a sitting of which only something wrong was told has none.
     *
     * @throws InvalidData
     */
    private function keepPlanned(Sitting $sitting, Client $client, Node $batch): void
    {
        $hash = $batch->optional('plan')?->string() ?? '';
        $list = $batch->optional('list')?->string() ?? '';
        $plan = $this->plans->version($client->clinicId, $client->id, $hash);
        $format = new RoutineFormat($this->catalogue->get());
        $items = [];
        foreach ($plan->planned[$list] ?? [] as $place => $row) {
            $item = $format->read([$row])[0] ?? null;
            if ($item instanceof Item) {
                $items[$place] = SittingItem::from($sitting, $place, $item);
            }
        }
        $this->sittings->keep($sitting, ...array_values($items));
        if (null !== $plan && [] !== $items) {
            /** @var array{items: list<array{id: string, restsWith: list<string>}>} $sheet */
            $sheet = Node::fromJson($plan->json())->get('lists')->get($list)->raw();
            $this->sittings->keep(SittingScore::of($sitting, self::named($sheet, $items)));
        }
    }

    /**
     * A list under the ids of the items that were made of it.
     *
     * @param array{items: list<array{id: string, restsWith: list<string>}>} $sheet
     * @param array<int, SittingItem>                                         $items by place
     *
     * @return array<string, mixed>
     */
    private static function named(array $sheet, array $items): array
    {
        foreach ($sheet['items'] as $n => $row) {
            $sheet['items'][$n]['id'] = $items[$n]->id ?? (string) $n;
            $sheet['items'][$n]['restsWith'] = array_map(
                static fn (string $place): string => $items[(int) $place]->id ?? $place,
                $row['restsWith'],
            );
        }

        return $sheet;
    }
}
