<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/**
 * The dose of record of an item: the one place that knows how hard it is, for every kind of routine. The newest counts,
 * the others are its history. How many sets there are is the routine's own.
 */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'prescribed_dose')]
#[ORM\Index(name: 'dose_by_client', columns: ['client_id', 'at'])]
class PrescribedDose implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @param array<string, mixed> $dose */
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
        #[ORM\Column(length: 10, enumType: DoseSource::class)]
        public readonly DoseSource $source,
        /** Of the decision it rests on; empty for the other sources. */
        #[ORM\Column(length: 200)]
        public readonly string $proposalKey = '',
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
