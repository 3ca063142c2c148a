<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/** One act of the day that the affected hand does from now on, chosen together; each day on which it did is ticked. */
#[ORM\Entity]
#[ORM\Table(name: 'use_it')]
#[ORM\Index(name: 'use_it_by_client', columns: ['client_id'])]
class UseIt implements TellsOfClient
{
    public const LETTERS = 80;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @var list<string> days on which it was done, such as 2026-11-30, oldest first */
    #[ORM\Column(type: Types::JSON)]
    private array $ticked = [];

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: self::LETTERS)]
        public readonly string $words,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function tick(\DateTimeImmutable $day): void
    {
        $days = [...$this->ticked, $day->format('Y-m-d')];
        sort($days);
        $this->ticked = array_values(array_unique($days));
    }

    public function wasDoneOn(\DateTimeInterface $day): bool
    {
        return \in_array($day->format('Y-m-d'), $this->ticked, true);
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
