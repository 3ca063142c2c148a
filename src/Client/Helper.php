<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** Somebody who helps a client. What they may do by hand is signed for each of them alone. */
#[ORM\Entity]
#[ORM\Table(name: 'helper')]
#[ORM\Index(name: 'helper_by_client', columns: ['client_id'])]
class Helper implements TellsOfClient
{
    public const NAME_LETTERS = 120;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** Is there during sittings. */
    #[ORM\Column]
    public bool $comes = true;

    /** Day on which the stop signs were told; null: not yet, so they do not count as being there. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $briefedOn = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $leftAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: self::NAME_LETTERS)]
        public string $name,
        #[ORM\Column(length: 12, enumType: HelperKind::class)]
        public HelperKind $kind,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        /** Who they are in the care home where the client lives; null: nobody there. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $careWorkerId = null,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** Counts as being there. */
    public function isThere(): bool
    {
        return $this->comes && null !== $this->briefedOn && null === $this->leftAt;
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
