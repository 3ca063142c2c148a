<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Trial;
use Symfony\Component\Uid\Uuid;

/** One thing that is tried for two weeks. */
#[ORM\Entity]
#[ORM\Table(name: 'diary_trial')]
class DiaryTrial
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** What the client made of it: keep or drop; empty: not said. */
    #[ORM\Column(length: 8)]
    public string $kept = '';

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 24, enumType: Factor::class)]
        public readonly Factor $factor,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $beganOn,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byId,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function lastDay(): \DateTimeImmutable
    {
        return $this->beganOn->modify('+'.(Trial::DAYS - 1).' days');
    }

    public function runsOn(\DateTimeImmutable $day): bool
    {
        return null === $this->endedAt && $day <= $this->lastDay();
    }
}
