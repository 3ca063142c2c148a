<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Sitting\EventKind;

/**
 * Takes events. Each has a UUID of its own: the same event twice is stored once, the same name with another body is
 * refused. Events, fold and what follows from them are kept in the one transaction of the request; an event that comes
 * again is looked at again, so that what should have followed from it does.
 */
final readonly class EventIntake
{
    public function __construct(
        private EventKeeper $keeper,
        private SittingRepository $sittings,
        private AfterLogging $afterLogging,
        private LatePain $latePain,
        private Audit $audit,
    ) {
    }

    /**
     * @param list<SittingItem> $items of the sitting
     *
     * @throws DifferentBody
     */
    public function take(
        Sitting $sitting,
        array $items,
        Client $client,
        Incoming $told,
        Actor $actor,
    ): SittingEvent {
        return $this->takeAll($sitting, $items, $client, [$told], actor: $actor)[$told->id]
            ?? throw DifferentBody::from($told->id);
    }

    /**
     * @param list<SittingItem> $items of the sitting
     * @param non-empty-list<Incoming> $told
     *
     * @return array<string, SittingEvent> as they are kept, by id; missing: another content is kept under its name
     */
    public function takeAll(
        Sitting $sitting,
        array $items,
        Client $client,
        array $told,
        Actor $actor,
    ): array {
        $events = array_map(
            static fn (Incoming $one): SittingEvent => SittingEvent::told($sitting, $one, $actor),
            $told,
        );

        return $this->keep($events, $sitting, $items, $client);
    }

    /**
     * @param non-empty-list<SittingEvent> $events
     * @param list<SittingItem>            $items
     *
     * @return array<string, SittingEvent>
     */
    private function keep(array $events, Sitting $sitting, array $items, Client $client): array
    {
        $added = $this->keeper->keep($events, $items);
        $taken = [];
        foreach ($events as $event) {
            $taken[$event->id] = $added->takenAs($event);
        }
        $taken = array_filter($taken);
        $new = array_intersect_key($taken, $added->new);
        array_map($sitting->hears(...), $new);
        $this->sittings->keep();
        $told = array_filter($new, static fn (SittingEvent $e): bool => $e->kind->isTold());
        $this->audit->wroteEach('logged', $client->id, array_keys($told));
        foreach ($taken as $event) {
            $this->follow($event, $items, $client);
        }
        foreach ($new as $event) {
            $this->followBegin($event, $client);
        }

        return $taken;
    }

    /** @param list<SittingItem> $items */
    private function follow(SittingEvent $event, array $items, Client $client): void
    {
        $of = array_values(
            array_filter(
                $items,
                static fn (SittingItem $i): bool => $i->id === $event->itemId,
            ),
        )[0] ?? null;
        if (EventKind::Line === $event->kind && null !== $of) {
            $this->afterLogging->line(
                $client,
                $this->line($event, $of),
                $event->receivedAt,
            );
        }
        if (EventKind::Wrong === $event->kind) {
            $this->afterLogging->wrong(
                $client,
                EventFormat::wrong($event->body),
                $of,
                $event,
            );
        }
        if (EventKind::After === $event->kind && null !== ($event->body['pain'] ?? null)) {
            $this->afterLogging->painOf($client, $event->sittingId, $event->receivedAt);
        }
    }

    /** What was told before it of the sitting before. Not sure counts as the worse answer. */
    private function followBegin(SittingEvent $event, Client $client): void
    {
        $hurt = EventKind::Begun === $event->kind ? $event->body['hurt_later'] ?? 'no' : 'no';
        if ('no' !== $hurt) {
            $this->latePain->of(
                $client,
                $this->sittings->lastLogged($client, $event->sittingId),
                '',
                EventTime::now($event->receivedAt, $client->zone),
            );
        }
    }

    private function line(SittingEvent $event, SittingItem $of): LogLine
    {
        return LogLine::from(
            $of->id,
            $event->sittingId,
            $of->key(),
            $this->sittings->doseOf($of),
            day: $event->day,
            told: LogFormat::kept($event->body),
        );
    }
}
