<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;
use Symfony\Component\Uid\Uuid;

/** One time that a class was led: what the wall shows, and how far it is. Each place has a sitting of its own. */
#[ORM\Entity]
#[ORM\Table(name: 'class_run')]
#[ORM\Index(name: 'class_run_of', columns: ['class_id', 'started_at'])]
class ClassRun
{
    /** Nothing is led yet. */
    public const BEFORE = -1;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $clinicId;

    #[ORM\Column(type: Types::GUID)]
    public readonly string $classId;

    #[ORM\Column(length: 10, enumType: ActorKind::class)]
    public readonly ActorKind $actorKind;

    #[ORM\Column(length: 36)]
    public readonly string $actorId;

    /** The exercise that the wall shows, from 0. */
    #[ORM\Column(name: 'shows')]
    public int $at = self::BEFORE;

    /** A therapist let it go on; what stopped it before that stops it no more. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $wentOnAt = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** @param list<string> $names of the exercises, as they were called */
    public function __construct(
        HandClass $class,
        Actor $actor,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $names,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $startedAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->clinicId = $class->clinicId;
        $this->classId = $class->id;
        $this->actorKind = $actor->kind;
        $this->actorId = $actor->id;
    }

    public function isOver(): bool
    {
        return null !== $this->endedAt;
    }
}
