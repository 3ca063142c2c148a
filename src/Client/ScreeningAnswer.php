<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Screening\Answer;
use Symfony\Component\Uid\Uuid;

/** One answer on one day; earlier answers stay. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'screening_answer')]
#[ORM\Index(name: 'screening_by_client', columns: ['client_id', 'asked_on', 'at'])]
class ScreeningAnswer implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 40)]
        public readonly string $questionId,
        #[ORM\Column(length: 10, enumType: Answer::class)]
        public readonly Answer $answer,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $askedOn,
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
