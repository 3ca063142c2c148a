<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Sitting\Sitting;
use Symfony\Component\Uid\Uuid;

/** One place while a class is led: whose it is, and the sitting in which what is done there is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'class_run_place')]
#[ORM\UniqueConstraint(name: 'class_run_place_once', columns: ['run_id', 'number'])]
#[ORM\UniqueConstraint(name: 'class_run_place_of', columns: ['sitting_id'])]
class RunPlace
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $runId;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $clinicId;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $clientId;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $sittingId;

    /** A therapist went there; what called them before that calls no more. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $cameAt = null;

    /** @param list<array<string, mixed>> $card one for each exercise, see CardFormat */
    public function __construct(
        ClassRun $run,
        #[ORM\Column]
        public readonly int $number,
        Sitting $sitting,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $card,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->runId = $run->id;
        $this->clinicId = $run->clinicId;
        $this->clientId = $sitting->clientId;
        $this->sittingId = $sitting->id;
    }
}
