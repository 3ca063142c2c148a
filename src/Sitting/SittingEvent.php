<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\Unlike;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\ItemEvent;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;

/** Something that happened in a sitting, under the id that its device gave it. Never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'sitting_event')]
#[ORM\Index(name: 'sitting_event_of', columns: ['sitting_id', 'item_id'])]
class SittingEvent implements TellsOfClient
{
    /** Number that the database gives in the order of arrival. */
    #[ORM\Column(type: Types::BIGINT, insertable: false, updatable: false, generated: 'INSERT')]
    public int $arrival = 0;

    /**
     * @param ?string              $itemId        of an item of the sitting; null: of the sitting as a whole
     * @param ?string              $deviceId      of the browser it was made in; null: from a page without scripts
     * @param ?int                 $seq           number that the device gave it
     * @param array<string, mixed> $body          by kind; of a line see Content\Format\LogFormat
     * @param string               $bodyHash      the same id with another content is refused
     * @param \DateTimeImmutable   $deviceAt      by the clock of the device
     * @param ?int                 $offsetSeconds server minus device when it was sent; null: not told
     * @param \DateTimeImmutable   $at            when it was done, by a clock that was found right
     * @param \DateTimeImmutable   $day           of the client's own calendar
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $sittingId,
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $itemId,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $actorKind,
        #[ORM\Column(length: 36)]
        public readonly string $actorId,
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $deviceId,
        #[ORM\Column(nullable: true)]
        public readonly ?int $seq,
        #[ORM\Column(length: 20, enumType: EventKind::class)]
        public readonly EventKind $kind,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $body,
        #[ORM\Column(length: 64)]
        public readonly string $bodyHash,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $deviceAt,
        #[ORM\Column(nullable: true)]
        public readonly ?int $offsetSeconds,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $day,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
    ) {
    }

    /**
     * What the server itself notes, such as the start of a sitting.
     *
     * @param array<string, mixed> $body
     */
    public static function noted(
        Sitting $sitting,
        ?SittingItem $item,
        EventKind $kind,
        Actor $actor,
        EventTime $time,
        array $body = [],
    ): self {
        return self::told($sitting, new Incoming(
            Uuid::v7()->toRfc4122(),
            $item,
            $kind,
            $body,
            hash: self::hash($sitting->id, $item->id ?? '', $body),
            time: $time,
        ), $actor);
    }

    /** What a device or a form told. */
    public static function told(Sitting $sitting, Incoming $told, Actor $actor): self
    {
        return new self(
            $told->id,
            $sitting->clinicId,
            $sitting->clientId,
            $sitting->id,
            itemId: $told->item?->id,
            actorKind: $actor->kind,
            actorId: $actor->id,
            deviceId: $told->device,
            seq: $told->seq,
            kind: $told->kind,
            body: $told->body,
            bodyHash: $told->hash,
            deviceAt: $told->time->deviceAt,
            offsetSeconds: $told->time->offsetSeconds,
            at: $told->time->at,
            day: $told->time->day,
            receivedAt: $told->time->receivedAt,
        );
    }

    /** @param array<string, mixed> $body */
    public static function hash(string $sittingId, string $item, array $body): string
    {
        return hash('sha256', $sittingId.'|'.$item.'|'.json_encode($body, \JSON_THROW_ON_ERROR));
    }

    /** One that is kept. While a sitting runs hundreds are read: past the records that Doctrine watches, for speed. */
    public static function kept(Row $row): self
    {
        $event = new self(
            $row->text('id'),
            $row->text('clinic_id'),
            $row->text('client_id'),
            $row->text('sitting_id'),
            itemId: $row->textOrNull('item_id'),
            actorKind: ActorKind::from($row->text('actor_kind')),
            actorId: $row->text('actor_id'),
            deviceId: $row->textOrNull('device_id'),
            seq: $row->intOrNull('seq'),
            kind: EventKind::from($row->text('kind')),
            body: $row->json('body'),
            bodyHash: $row->text('body_hash'),
            deviceAt: $row->instant('device_at'),
            offsetSeconds: $row->intOrNull('offset_seconds'),
            at: $row->instant('at'),
            day: $row->day('day'),
            receivedAt: $row->instant('received_at'),
        );
        $event->arrival = $row->int('arrival');

        return $event;
    }

    /** @return array<string, mixed> by column, as it is added */
    public function row(): array
    {
        return [
            'id' => $this->id,
            'clinic_id' => $this->clinicId,
            'client_id' => $this->clientId,
            'sitting_id' => $this->sittingId,
            'item_id' => $this->itemId,
            'actor_kind' => $this->actorKind->value,
            'actor_id' => $this->actorId,
            'device_id' => $this->deviceId,
            'seq' => $this->seq,
            'kind' => $this->kind->value,
            'body' => $this->body,
            'body_hash' => $this->bodyHash,
            'device_at' => $this->deviceAt->format(\DATE_ATOM),
            'offset_seconds' => $this->offsetSeconds,
            'at' => $this->at->format(\DATE_ATOM),
            'day' => $this->day->format('Y-m-d'),
            'received_at' => $this->receivedAt->format(\DATE_ATOM),
        ];
    }

    public function actor(): Actor
    {
        return new Actor($this->actorKind, $this->actorId);
    }

    public function folded(): ItemEvent
    {
        return new ItemEvent(
            $this->id,
            $this->kind,
            $this->at,
            $this->day,
            seq: $this->seq,
            arrival: $this->arrival,
            told: $this->toldOfItem(),
            totals: EventKind::Counted === $this->kind ? EventFormat::totals($this->body) : [],
            pain: EventKind::After === $this->kind && \is_int($this->body['pain'] ?? null)
                ? $this->body['pain']
                : null,
            whole: EventKind::After === $this->kind && \is_string($this->body['felt'] ?? null)
                ? Felt::tryFrom($this->body['felt'])
                : null,
            unlike: EventKind::After === $this->kind && \is_string($this->body['unlike'] ?? null)
                ? Unlike::tryFrom($this->body['unlike'])
                : null,
            noticed: EventKind::Noticed === $this->kind
                ? LogFormat::noticed(Node::root($this->body, 'noticed'))
                : [],
        );
    }

    private function toldOfItem(): ?Told
    {
        return match ($this->kind) {
            EventKind::Line => LogFormat::kept($this->body),
            EventKind::Wrong => EventFormat::wrong($this->body)->told(),
            default => null,
        };
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
