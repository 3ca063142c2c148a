<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Sitting\EventKind;

/**
 * Keeps events. Each has a UUID of its own: the same event twice is stored once, the same name with another body is
 * refused. Event, fold and what follows from it are kept together; an event that comes again is looked at again, so
 * that what should have followed from it does.
 */
final readonly class EventIntake
{
    public function __construct(
        private SittingRepository $sittings,
        private AfterLogging $afterLogging,
        private Audit $audit,
    ) {
    }

    /** @throws DifferentBody */
    public function take(Sitting $sitting, Client $client, Incoming $told, Actor $actor): SittingEvent
    {
        $known = $this->sittings->event($told->id);
        if (
            null !== $known
            && ($known->clinicId !== $sitting->clinicId || $known->bodyHash !== $told->hash)
        ) {
            throw DifferentBody::from($told->id);
        }
        $event = $known ?? SittingEvent::told($sitting, $told, $actor);
        try {
            $this->sittings->together(function () use ($known, $event, $sitting, $client, $told): void {
                if (null === $known) {
                    $this->sittings->record($event);
                    $sitting->hears($event);
                    $this->audit->wrote('logged', $event->clientId, $event->id);
                }
                $this->follow($event, $sitting, $client, $told);
            });
        } catch (UniqueConstraintViolationException) {
            throw DifferentBody::meanwhile(
                $told->id,
            ); // of another client, whose requests do not wait for ours
        }

        return $event;
    }

    private function follow(
        SittingEvent $event,
        Sitting $sitting,
        Client $client,
        Incoming $told,
    ): void {
        if (EventKind::Line === $told->kind && null !== $told->item) {
            $this->afterLogging->line($client, LogLine::from(
                $told->item->id,
                $sitting->id,
                new ItemKey($told->item->rungId, $told->item->hands),
                $this->sittings->doseOf($told->item),
                day: $event->day,
                told: LogFormat::kept($event->body),
            ), $event->receivedAt);
        }
        if (EventKind::Wrong === $told->kind) {
            $this->afterLogging->wrong(
                $client,
                EventFormat::wrong($event->body),
                $told->item,
                $event,
            );
        }
        if (EventKind::After === $told->kind && null !== ($told->body['pain'] ?? null)) {
            $this->afterLogging->check($client); // pain at the end is that of all that was done
        }
    }
}
