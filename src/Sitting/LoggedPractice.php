<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Connection;
use HandGarden\Client\Client;
use HandGarden\Web\Row;

/** The sittings of a time in which something was done: how long they took, and with whose hands, as far as was told. */
final readonly class LoggedPractice
{
    /**
     * A sitting is timed by its begin and end, where both were lived through and lie as far apart as a sitting may.
     * Help is that of the hands: nobody told of it is neither yes nor no.
     */
    private const HELD = "SELECT s.id, s.day, extract(epoch FROM s.finished_at - s.started_at) / 60 AS minutes,
            s.finished_at IS NOT NULL AND NOT s.from_paper
                AND s.finished_at - s.started_at BETWEEN interval '1 minute' AND interval '3 hours' AS timed,
            bool_or(told->>'help' <> 'none') AS helped
        FROM sitting s JOIN sitting_item i ON i.sitting_id = s.id AND i.client_id = ?
        WHERE s.client_id = ? AND s.clinic_id = ? AND s.day BETWEEN ? AND ?
            AND told->>'outcome' IN ('done', 'part')
        GROUP BY s.id ORDER BY s.day DESC, s.started_at DESC, s.id DESC";

    public function __construct(
        private Connection $connection,
    ) {
    }

    /** @return list<HeldSitting> newest first */
    public function between(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        return array_map(
            static fn (array $values): HeldSitting => HeldSitting::of(new Row($values)),
            $this->connection->fetchAllAssociative(self::HELD, [
                $client->id,
                $client->id,
                $client->clinicId,
                $from->format('Y-m-d'),
                $until->format('Y-m-d'),
            ]),
        );
    }
}
