<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Client;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Sitting\EventKind;
use Symfony\Component\Uid\Uuid;

/** One time through a routine. Its items stand beside it as they were when it began. */
#[ORM\Entity]
#[ORM\Table(name: 'sitting')]
#[ORM\Index(name: 'sitting_by_client', columns: [
    'client_id',
    'started_at',
])]
class Sitting implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $clinicId;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $clientId;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $finishedAt = null;

    #[ORM\Column(type: Types::TEXT)]
    public string $note = '';

    #[ORM\Column(length: 10, enumType: ActorKind::class)]
    public readonly ActorKind $actorKind;

    #[ORM\Column(length: 36)]
    public readonly string $actorId;

    /** Said before the start: nobody helps with the hands; otherwise it is asked for each item. */
    #[ORM\Column]
    public bool $unaided = false;

    /** Written down on paper and typed in afterwards. */
    #[ORM\Column]
    public bool $fromPaper = false;

    /** At a place of a class, by its own card. */
    #[ORM\Column]
    public bool $inClass = false;

    /** Who wrote it, where it is from paper. */
    #[ORM\Column(length: 80)]
    public string $writtenBy = '';

    /** @param ?string $id that it has already, of one that was begun without a network; null: a new one */
    public function __construct(
        Client $client,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $day,
        #[ORM\Column(nullable: true)]
        public ?int $painBefore,
        Actor $actor,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $startedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
        $this->clinicId = $client->clinicId;
        $this->clientId = $client->id;
        $this->actorKind = $actor->kind;
        $this->actorId = $actor->id;
    }

    /** Who ran it. */
    public function actor(): Actor
    {
        return new Actor($this->actorKind, $this->actorId);
    }

    /** @return array<string, int|string> what was said before the start of all that is done, by the names of a line */
    public function saidBefore(): array
    {
        return array_filter([
            'pain_before' => $this->painBefore,
            'help' => $this->unaided ? Help::None->value : null,
        ], static fn (int|string|null $said): bool => null !== $said);
    }

    /** What was told of it as a whole, once: that it is over, how hard it was, a note. */
    public function hears(SittingEvent $event): void
    {
        if ($event->kind->isOfAnItem()) {
            return;
        }
        if (EventKind::Begun === $event->kind) {
            $pain = $event->body['pain_before'] ?? null;
            $this->painBefore ??= \is_int($pain) ? $pain : null;
            $this->unaided = $this->unaided || 'alone' === ($event->body['with'] ?? null);
        }
        if (EventKind::Finished === $event->kind) {
            $this->finishedAt ??= $event->at;
        }
        $note = $event->body['note'] ?? '';
        if (\is_string($note) && '' !== $note) {
            $this->note = trim($this->note."\n".$note);
        }
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
