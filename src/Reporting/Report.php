<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/**
 * A review of a time. A draft may be written anew; a signed one is frozen as it was read, and what changes afterwards
 * makes another version that names it.
 */
#[ORM\Entity]
#[ORM\Table(name: 'report')]
#[ORM\Index(name: 'report_by_client', columns: ['client_id', 'drafted_at'])]
class Report
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $signedById = null;

    /** As they signed: whoever changes their name later does not change it here. */
    #[ORM\Column(length: 140)]
    public string $signedAs = '';

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $signedAt = null;

    /** @var list<array{to: string, on: string, by: string}> to whom it was given, and when */
    #[ORM\Column(type: Types::JSON)]
    public array $given = [];

    /**
     * @param list<array<string, mixed>> $lines   see ReportFormat
     * @param int                        $version from 1
     * @param ?string                    $after   report whose place it takes; null: none
     */
    private function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(name: 'from_day', type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $from,
        #[ORM\Column(name: 'until_day', type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $until,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public array $lines,
        #[ORM\Column]
        public readonly int $version,
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $after,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $draftedById,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $draftedAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** @param list<array<string, mixed>> $lines see ReportFormat */
    public static function draft(
        Client $client,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
        array $lines,
        Staff $by,
        \DateTimeImmutable $at,
    ): self {
        return new self(
            $client->clinicId,
            $client->id,
            $from,
            $until,
            lines: $lines,
            version: 1,
            after: null,
            draftedById: $by->id,
            draftedAt: $at,
        );
    }

    /**
     * Another version, which names this one.
     *
     * @param list<array<string, mixed>> $lines see ReportFormat
     */
    public function next(array $lines, Staff $by, \DateTimeImmutable $at): self
    {
        return new self(
            $this->clinicId,
            $this->clientId,
            $this->from,
            $this->until,
            lines: $lines,
            version: $this->version + 1,
            after: $this->id,
            draftedById: $by->id,
            draftedAt: $at,
        );
    }

    public function isSigned(): bool
    {
        return null !== $this->signedAt;
    }

    public function sign(Staff $by, string $as, \DateTimeImmutable $at): void
    {
        $this->signedById ??= $by->id;
        $this->signedAs = '' === $this->signedAs ? $as : $this->signedAs;
        $this->signedAt ??= $at;
    }
}
