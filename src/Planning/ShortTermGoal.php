<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\Uid\Uuid;

/** A rung that therapist and client want to stand on by a day. */
#[ORM\Entity]
#[ORM\Table(name: 'short_term_goal')]
#[ORM\Index(name: 'short_term_goal_by_client', columns: ['client_id'])]
class ShortTermGoal implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $withdrawnAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 80)]
        public readonly string $rungId,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $byDay,
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
