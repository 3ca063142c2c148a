<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Data\Dates;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/**
 * Takes one line of an item as an event. The device names it with a UUID of its own: the same event twice is stored
 * once, the same name with another body is refused. Event, fold and what follows from it are kept together; an event
 * that comes again is looked at again, so that what should have followed from it does.
 */
final readonly class LogIntake
{
    private const ENVELOPE = ['id', 'item', 'device', 'seq', 'device_at', 'sent_at'];

    public function __construct(
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
        private AfterLogging $afterLogging,
        private Audit $audit,
        private Clock $clock,
    ) {
    }

    /**
     * @throws InvalidData    naming the field
     * @throws DifferentBody
     */
    public function take(Sitting $sitting, Client $client, Node $line, Actor $actor): SittingEvent
    {
        $line->only(...self::ENVELOPE, ...LogFormat::BODY);
        $id = self::uuid($line->get('id'));
        $item = $this->item($sitting, $line->get('item'));
        $told = LogFormat::toldOf($this->catalogue->get()->rung($item->rungId), $line);
        $hash = SittingEvent::hash($sitting->id, $line->get('item')->scalarText(), self::bodyOf($line));
        $known = $this->sittings->event($id);
        if (null !== $known && ($known->clinicId !== $sitting->clinicId || $known->bodyHash !== $hash)) {
            throw DifferentBody::from($id);
        }
        $event = $known ?? $this->event($id, $item, $line, $hash, zone: $client->zone, by: $actor);
        $logged = LogLine::from(
            $item->id,
            $sitting->id,
            new ItemKey($item->rungId, $item->hands),
            $this->sittings->doseOf($item),
            day: $event->day,
            told: $told,
        );
        try {
            $this->sittings->together(function () use ($known, $event, $client, $logged): void {
                if (null === $known) {
                    $this->sittings->record($event);
                    $this->audit->wrote('logged', $event->clientId, $event->id);
                }
                $this->afterLogging->line($client, $logged, $event->receivedAt);
            });
        } catch (UniqueConstraintViolationException) {
            throw DifferentBody::meanwhile($id); // of another client, whose requests do not wait for ours
        }

        return $event;
    }

    private function event(
        string $id,
        SittingItem $item,
        Node $line,
        string $hash,
        string $zone,
        Actor $by,
    ): SittingEvent {
        $time = $this->time($line, $zone);

        return new SittingEvent(
            $id,
            $item->clinicId,
            $item->clientId,
            $item->sittingId,
            itemId: $item->id,
            actorKind: $by->kind,
            actorId: $by->id,
            deviceId: null === $line->optional('device') ? null : self::uuid($line->get('device')),
            seq: $line->optional('seq')?->int(0),
            kind: EventKind::Line,
            body: LogFormat::write(LogFormat::told($line)),
            bodyHash: $hash,
            deviceAt: $time->deviceAt,
            offsetSeconds: $time->offsetSeconds,
            at: $time->at,
            day: $time->day,
            receivedAt: $time->receivedAt,
        );
    }

    /** @throws InvalidData */
    private static function uuid(Node $node): string
    {
        $id = mb_strtolower($node->string());

        return Uuid::isValid($id) ? $id : throw $node->fail('is not a UUID');
    }

    /**
     * An item is named by its id. A page that was opened before items had ids names it by where it stands among the
     * exercises that the catalogue has.
     *
     * @throws InvalidData
     */
    private function item(Sitting $sitting, Node $named): SittingItem
    {
        $items = $this->sittings->items($sitting);
        if (\is_int($named->raw())) {
            $known = array_values(array_filter(
                $items,
                fn (SittingItem $i): bool => $this->catalogue->get()->hasRung($i->rungId),
            ));

            return $known[$named->int(0, max(0, \count($known) - 1))]
                ?? throw $named->fail('is not an item of this sitting');
        }
        $id = $named->string();
        foreach ($items as $item) {
            if ($item->id === $id) {
                return $item;
            }
        }
        throw $named->fail('is not an item of this sitting');
    }

    /** @return array<string, mixed> in one order, so that the same content has the same hash */
    private static function bodyOf(Node $line): array
    {
        $body = [];
        foreach (LogFormat::BODY as $key) {
            $value = $line->optional($key)?->raw();
            if (null !== $value) {
                $body[$key] = $value;
            }
        }

        return $body;
    }

    /** A line that waited without a network keeps the time at which it was made. */
    private function time(Node $line, string $zone): EventTime
    {
        $now = $this->clock->now();
        $deviceAt = $line->optional('device_at');
        $sentAt = $line->optional('sent_at');

        if (null === $deviceAt) {
            return EventTime::now($now, $zone);
        }
        $sent = null === $sentAt ? null : self::instant($sentAt);

        return EventTime::told(self::instant($deviceAt), $sent, $now, $zone);
    }

    /** @throws InvalidData */
    private static function instant(Node $node): \DateTimeImmutable
    {
        return Dates::instant($node->string())
            ?? throw $node->fail('is not a time such as 2026-11-24T09:30:00Z');
    }
}
