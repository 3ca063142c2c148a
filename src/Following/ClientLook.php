<?php

declare(strict_types=1);

namespace HandGarden\Following;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/** Somebody looked at a client, also where nothing was changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'client_look')]
#[ORM\Index(name: 'look_by_client', columns: [
    'client_id',
    'at',
])]
class ClientLook implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @param ?\DateTimeImmutable $visitOn day of a visit that was agreed */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 10, enumType: LookWord::class)]
        public readonly LookWord $word,
        #[ORM\Column(length: 300)]
        public readonly string $note,
        #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
        public readonly ?\DateTimeImmutable $visitOn,
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
