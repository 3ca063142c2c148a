<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Data\Node;
use Symfony\Component\Uid\Uuid;

/**
 * A proposal for less that holds a client down since it was made: it stays in force, though the days that it rests on
 * pass out of sight, until a therapist has answered it.
 */
#[ORM\Entity]
#[ORM\Table(name: 'restraint')]
#[ORM\UniqueConstraint(name: 'restraint_once', columns: ['client_id', 'proposal_key'])]
class Restraint implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** Confirmed or lifted, or overtaken by another dose. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** @param array<string, mixed> $proposal see ProposalFormat */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 255)]
        public readonly string $proposalKey,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        private readonly array $proposal,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $since,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function proposal(): Node
    {
        return Node::root($this->proposal);
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
