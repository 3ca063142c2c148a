<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/**
 * One meeting of client and therapist, with its free note. Once signed it takes nothing more: what follows is a new
 * one.
 */
#[ORM\Entity]
#[ORM\Table(name: 'visit')]
#[ORM\Index(name: 'visit_by_client', columns: ['client_id', 'on_day'])]
class Visit implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::TEXT)]
    public string $note = '';

    /** Feet, hips, back, table, shoulder and breath were looked at before measuring. */
    #[ORM\Column]
    public bool $setUpChecked = false;

    #[ORM\Column(nullable: true)]
    public ?float $hoursSinceDose = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $signedAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $signedById = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $onDay,
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
