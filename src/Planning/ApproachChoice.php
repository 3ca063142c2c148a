<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use Symfony\Component\Uid\Uuid;

/** A therapist's school for one client and question, with the note that says why; withdrawn ones stay. */
#[ORM\Entity]
#[ORM\Table(name: 'approach_choice')]
#[ORM\Index(name: 'approach_by_client', columns: ['client_id'])]
class ApproachChoice implements TellsOfClient
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
        #[ORM\Column(length: 20, enumType: Question::class)]
        public readonly Question $question,
        #[ORM\Column(length: 1, enumType: School::class)]
        public readonly School $school,
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
