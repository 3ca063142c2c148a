<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\Uid\Uuid;

/** Pain that a therapist found to be there anyway, with its cause. */
#[ORM\Entity]
#[ORM\Table(name: 'usual_pain')]
#[ORM\Index(name: 'usual_pain_by_client', columns: ['client_id'])]
class UsualPainNote implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 12, enumType: ArmPart::class)]
        public readonly ArmPart $part,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $level,
        #[ORM\Column(length: 200)]
        public readonly string $cause,
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
