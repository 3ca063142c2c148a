<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Diary\Doing;
use HandGarden\Core\Diary\Entry;
use HandGarden\Core\Diary\Moment;
use HandGarden\Core\Diary\Trouble;

/** One entry of a diary, under the id that the device gave it. Never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'diary_entry')]
class DiaryEntry
{
    /** @param array<string, float|int> $answers by factor; missing: not known */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $deviceId,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $person,
        #[ORM\Column(length: 6, enumType: Moment::class)]
        public readonly Moment $moment,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $day,
        #[ORM\Column(length: 10, enumType: Trouble::class)]
        public readonly Trouble $trouble,
        #[ORM\Column(length: 10, enumType: Hands::class)]
        public readonly Hands $hand,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $severity,
        #[ORM\Column(length: 20, enumType: Doing::class)]
        public readonly Doing $doing,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $answers,
        #[ORM\Column]
        public readonly bool $isLate,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
    ) {
    }

    public function compared(): Entry
    {
        return new Entry(
            new \DateTimeImmutable($this->day->format('Y-m-d'), new \DateTimeZone('UTC')),
            $this->moment,
            $this->severity,
            array_map(floatval(...), $this->answers),
            isLate: $this->isLate,
        );
    }
}
