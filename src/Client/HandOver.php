<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Gives the clients of one therapist to another, for good. */
final readonly class HandOver
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $connection,
    ) {
    }

    /** @return array<string, int> clients in care by the id of their therapist */
    public function counts(string $clinicId): array
    {
        /** @var array<string, int> $counts */
        $counts = $this->connection->fetchAllKeyValue(
            'SELECT therapist_id, count(*) FROM client WHERE clinic_id = ? AND archived_at IS NULL GROUP BY 1',
            [$clinicId],
        );

        return $counts;
    }

    /** @return list<Client> whose they were */
    public function all(string $clinicId, string $from, string $to): array
    {
        $clients = $this->entities->getRepository(Client::class)->findBy(
            ['clinicId' => $clinicId, 'therapistId' => $from, 'archivedAt' => null],
            ['familyName' => 'ASC'],
        );
        foreach ($clients as $client) {
            $client->therapistId = $to;
        }
        $this->entities->flush();

        return $clients;
    }
}
