<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Week\Block;
use Symfony\Component\Uid\Uuid;

/** A block of practice with the sample that was agreed for its begin and end. The newest counts. */
#[ORM\Entity]
#[ORM\Table(name: 'plan_block')]
#[ORM\Index(name: 'block_by_client', columns: ['client_id', 'at'])]
class PlanBlock implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $beginsOn,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $days,
        #[ORM\Column(length: 10, enumType: InkTask::class)]
        public readonly InkTask $sample,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function block(): Block
    {
        return new Block($this->beginsOn, $this->days);
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
