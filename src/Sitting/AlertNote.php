<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/** What happened with an alert before it was answered: somebody tried to call, it was told again. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'alert_note')]
#[ORM\Index(name: 'alert_note_of', columns: [
    'alert_id',
    'at',
])]
class AlertNote implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @param ?string $byStaffId null: it was told again, by whoever told it */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $alertId,
        #[ORM\Column(length: 12, enumType: AlertNoteKind::class)]
        public readonly AlertNoteKind $kind,
        #[ORM\Column(length: 300)]
        public readonly string $text,
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $byStaffId,
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
