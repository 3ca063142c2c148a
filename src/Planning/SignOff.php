<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\Uid\Uuid;

/** A helper who was shown an exercise, was seen doing it, and may do it with one hand of this client until a day. */
#[ORM\Entity]
#[ORM\Table(name: 'sign_off')]
#[ORM\Index(name: 'signed_by_client', columns: ['client_id'])]
class SignOff implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;
    /** Days for which a sign-off holds. */
    public const DAYS = 90;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 120)]
        public readonly string $helper,
        #[ORM\Column(length: 60)]
        public readonly string $rungId,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $until,
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
