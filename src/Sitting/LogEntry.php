<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Routine\Hands;

/** A log line as it came from the device, under the id that the device gave it. Never changed. */
#[ORM\Entity]
#[ORM\Table(name: 'log_entry')]
#[ORM\Index(name: 'log_by_client', columns: ['client_id', 'received_at'])]
class LogEntry
{
    /** Told at the next start: it hurt for hours afterwards, or the next morning. */
    #[ORM\Column]
    public bool $hurtLater = false;

    /**
     * @param array<string, int|float>  $dose as prescribed when it was done
     * @param array<string, mixed>      $body see Content\Format\LogFormat
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $sittingId,
        #[ORM\Column]
        public readonly int $item,
        #[ORM\Column(length: 60)]
        public readonly string $rungId,
        #[ORM\Column(length: 10, enumType: Hands::class)]
        public readonly Hands $hands,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $dose,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $body,
        #[ORM\Column(length: 64)]
        public readonly string $bodyHash,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $day,
        /** The device's clock was off by more than ten minutes: the day is that of receipt. */
        #[ORM\Column]
        public readonly bool $clockOff,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $deviceAt,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
    ) {
    }
}
