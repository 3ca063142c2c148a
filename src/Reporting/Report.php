<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use HandGarden\Core\Report\ReportKind;
use Symfony\Component\Uid\Uuid;

/**
 * A report of a time. A draft may be written anew; a signed one is frozen as it was read, and what changes afterwards
 * makes another version that names it. The database refuses any other change.
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

    /** Mark of everything in it, made when it was signed: what was given out can be held against it. */
    #[ORM\Column(length: 64)]
    public string $seal = '';

    /** Mark of the catalogue by which it was written. */
    #[ORM\Column(length: 64)]
    public string $content = '';

    /** Compressed pages with the pictures of the exercises, kept when it is signed: a stream when it was read. */
    #[ORM\Column(type: Types::BLOB, nullable: true)]
    private mixed $sheets = null;

    /** The client may read it at home. */
    #[ORM\Column]
    public bool $isAtHome = false;

    /** @var list<array{to: string, on: string, by: string}> to whom it was given, and when */
    #[ORM\Column(type: Types::JSON)]
    public array $given = [];

    /**
     * @param \DateTimeImmutable         $asOf    client's day on which it was written
     * @param list<array<string, mixed>> $lines   see ReportFormat
     * @param list<array<string, mixed>> $charts  see ChartFormat
     * @param int                        $version from 1
     * @param ?string                    $after   report whose place it takes; null: none
     */
    private function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 10, enumType: ReportKind::class)]
        public readonly ReportKind $kind,
        #[ORM\Column(name: 'from_day', type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $from,
        #[ORM\Column(name: 'until_day', type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $until,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public \DateTimeImmutable $asOf,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public array $lines,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public array $charts,
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

    public static function draft(
        Client $client,
        ReportSpan $span,
        Written $written,
        Staff $by,
        \DateTimeImmutable $at,
    ): self {
        return new self(
            $client->clinicId,
            $client->id,
            $span->kind,
            $span->from,
            until: $span->until,
            asOf: $span->asOf,
            lines: $written->lines,
            charts: $written->charts,
            version: 1,
            after: null,
            draftedById: $by->id,
            draftedAt: $at,
        );
    }

    /** Another version, which names this one. */
    public function next(Written $written, \DateTimeImmutable $asOf, Staff $by, \DateTimeImmutable $at): self
    {
        return new self(
            $this->clinicId,
            $this->clientId,
            $this->kind,
            $this->from,
            until: $this->until,
            asOf: $asOf,
            lines: $written->lines,
            charts: $written->charts,
            version: $this->version + 1,
            after: $this->id,
            draftedById: $by->id,
            draftedAt: $at,
        );
    }

    /** What rests on what is kept, written anew. */
    public function renew(Written $written, \DateTimeImmutable $asOf): void
    {
        $this->lines = $written->lines;
        $this->charts = $written->charts;
        $this->asOf = $asOf;
    }

    public function span(): ReportSpan
    {
        return new ReportSpan($this->kind, $this->from, $this->until, $this->asOf);
    }

    public function isSigned(): bool
    {
        return null !== $this->signedAt;
    }

    /**
     * @param string $as      who signs, as it is printed
     * @param string $sheets  pages with the pictures of its exercises; empty: it has none
     * @param string $content mark of the catalogue
     */
    public function sign(
        Staff $by,
        string $as,
        \DateTimeImmutable $at,
        string $sheets,
        string $content,
    ): void {
        if ($this->isSigned()) {
            return;
        }
        $this->signedById = $by->id;
        $this->signedAs = $as;
        $this->signedAt = $at;
        $this->content = $content;
        $this->sheets = '' === $sheets ? null : (string) gzencode($sheets);
        $this->seal = $this->sealed();
    }

    /** Whether all of it is as it was signed. */
    public function isWhole(): bool
    {
        return !$this->isSigned() || '' === $this->seal || hash_equals($this->seal, $this->sealed());
    }

    /** Pages as HTML; empty: it has none. */
    public function sheets(): string
    {
        $kept = $this->sheets;
        if (\is_resource($kept)) {
            rewind($kept);
            $kept = stream_get_contents($kept);
        }

        return \is_string($kept) && '' !== $kept ? (string) gzdecode($kept) : '';
    }

    private function sealed(): string
    {
        return hash('sha256', json_encode(self::inOrder([
            $this->kind->value,
            $this->from->format('Y-m-d'),
            $this->until->format('Y-m-d'),
            $this->version,
            $this->signedAs,
            $this->content,
            $this->lines,
            $this->charts,
            hash('sha256', $this->sheets()),
        ]), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
    }

    /**
     * The database keeps no order of names, and gives a whole number back as one without a point.
     *
     * @param array<mixed> $kept
     *
     * @return array<mixed>
     */
    private static function inOrder(array $kept): array
    {
        if (!array_is_list($kept)) {
            ksort($kept);
        }

        return array_map(
            static fn (mixed $value): mixed => match (true) {
                \is_array($value) => self::inOrder($value),
                \is_float($value), \is_int($value) => \sprintf('%.4f', $value),
                default => $value,
            },
            $kept,
        );
    }
}
