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

    /** @return list<Client> those in the archive as well */
    public function all(string $clinicId, string $from, string $to): array
    {
        // who changes one of them at this moment is waited for
        $this->connection->executeQuery(
            'SELECT id FROM client WHERE clinic_id = ? AND therapist_id = ? ORDER BY id FOR UPDATE',
            [$clinicId, $from],
        );
        $clients = $this->entities->getRepository(Client::class)->findBy(
            ['clinicId' => $clinicId, 'therapistId' => $from],
            ['familyName' => 'ASC'],
        );
        foreach ($clients as $client) {
            $client->therapistId = $to;
        }
        $this->entities->flush();

        return $clients;
    }
}
