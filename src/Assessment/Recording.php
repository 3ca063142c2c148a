<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\Uid\Uuid;

/** Strokes on the screen or a motion trace as they came, in an open format; what was found is computed anew from it. */
#[ORM\Entity]
#[ORM\Table(name: 'recording')]
#[ORM\Index(name: 'recording_by_client', columns: ['client_id', 'kind', 'at'])]
class Recording implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $withdrawnAt = null;

    /**
     * @param string               $raw    JSON as in docs/formats.md
     * @param array<string, mixed> $found  what the analysis gave at the time, to list it without analysing again
     * @param string               $series screen and zoom of a drawing; steadying trial of a trace, or empty
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 10, enumType: RecordingKind::class)]
        public readonly RecordingKind $kind,
        #[ORM\Column(length: 20)]
        public readonly string $task,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::TEXT)]
        public readonly string $raw,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $found,
        #[ORM\Column(length: 120)]
        public readonly string $series,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $onDay,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
