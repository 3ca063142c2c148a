<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/** The dose of an item as a therapist set it; the newest of an item counts. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'prescribed_dose')]
#[ORM\Index(name: 'dose_by_client', columns: ['client_id', 'at'])]
class PrescribedDose implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @param array<string, int|float> $dose */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 80)]
        public readonly string $itemKey,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $dose,
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
