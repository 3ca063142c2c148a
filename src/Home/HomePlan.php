<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/** A plan as it was handed out: lists with their sheets, and the days they are for. Each version is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'home_plan')]
class HomePlan
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /**
     * @param \DateTimeImmutable                               $madeOn the client's own day
     * @param array<string, array{name: string, dose: string}> $record what it stands for, by item: the doses of record
     * @param array<string, list<array<string, mixed>>>        $planned items by list, see Planning\RoutineFormat
     * @param resource|string                                  $body   compressed JSON, see PlanSheet
     */
    private function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 64)]
        public readonly string $hash,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeOn,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public \DateTimeImmutable $madeAt,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $record,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $planned,
        #[ORM\Column(type: Types::BLOB)]
        private $body,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /**
     * @param array<string, mixed>                             $sheet
     * @param array<string, array{name: string, dose: string}> $record
     * @param array<string, list<array<string, mixed>>>        $planned
     */
    public static function of(
        Client $client,
        array $sheet,
        array $record,
        array $planned,
        \DateTimeImmutable $today,
        \DateTimeImmutable $now,
    ): self {
        $json = json_encode(
            $sheet,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );

        return new self(
            $client->clinicId,
            $client->id,
            hash('sha256', $json),
            madeOn: $today,
            madeAt: $now,
            record: $record,
            planned: $planned,
            body: (string) gzencode($json),
        );
    }

    public function json(): string
    {
        $body = $this->body;
        if (\is_resource($body)) {
            rewind($body);
            $body = stream_get_contents($body);
        }

        return (string) gzdecode((string) $body);
    }
}
