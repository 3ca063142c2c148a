<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Helping\Managing;

/** What a helper said of themselves: for them and for therapists, never for the client. */
#[ORM\Entity]
#[ORM\Table(name: 'helper_word')]
#[ORM\Index(name: 'helper_word_by_client', columns: ['client_id'])]
class HelperWord implements TellsOfClient
{
    public const WHERE_LETTERS = 120;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $talkedAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $talkedById = null;

    /** @param string $id as the device gave it */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $helperId,
        #[ORM\Column(length: 10, enumType: Managing::class)]
        public readonly Managing $managing,
        #[ORM\Column]
        public readonly bool $hurts,
        #[ORM\Column(length: self::WHERE_LETTERS)]
        public readonly string $hurtsWhere,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
