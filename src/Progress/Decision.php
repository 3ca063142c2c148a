<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/** What a therapist answered to a proposal. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'decision')]
#[ORM\UniqueConstraint(name: 'decision_once', columns: ['client_id', 'proposal_key'])]
class Decision implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 200)]
        public readonly string $proposalKey,
        #[ORM\Column(length: 40)]
        public readonly string $kind,
        #[ORM\Column(length: 600)]
        public readonly string $text,
        #[ORM\Column(length: 10, enumType: DecisionAnswer::class)]
        public readonly DecisionAnswer $answer,
        #[ORM\Column(length: 300)]
        public readonly string $note,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
