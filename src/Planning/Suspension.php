<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

/** An item, or everything (`*`), that rests after a symptom until a therapist reopens it with a note. */
#[ORM\Entity]
#[ORM\Table(name: 'suspension')]
#[ORM\Index(name: 'suspension_by_client', columns: ['client_id'])]
class Suspension implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $reopenedAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $reopenedById = null;

    #[ORM\Column(length: 300)]
    public string $reopenedNote = '';

    /** @param array<string, mixed>|string $why see PhraseFormat */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 80)]
        public readonly string $itemKey,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        private readonly array|string $why,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function reopen(string $byId, \DateTimeImmutable $at, string $note): void
    {
        $this->reopenedAt = $at;
        $this->reopenedById = $byId;
        $this->reopenedNote = $note;
    }

    public function why(): Phrase
    {
        return PhraseFormat::read(Node::root($this->why));
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
