<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Connection;
use HandGarden\Client\Client;
use HandGarden\Web\Row;

/** How long was practised in a time, and with whose hands, as far as it was told. */
final readonly class LoggedPractice
{
    /**
     * A sitting is timed by its begin and end, where both were lived through and lie as far apart as a sitting may.
     * Help is that of the hands: nobody told of it is neither yes nor no.
     */
    private const TIMES = "SELECT count(*) FILTER (WHERE timed) AS timed,
            COALESCE(round(sum(minutes) FILTER (WHERE timed)), 0)::int AS minutes,
            count(*) FILTER (WHERE helped) AS helped, count(*) FILTER (WHERE NOT helped) AS alone
        FROM (
            SELECT extract(epoch FROM s.finished_at - s.started_at) / 60 AS minutes,
                s.finished_at IS NOT NULL AND NOT s.from_paper
                    AND s.finished_at - s.started_at BETWEEN interval '1 minute' AND interval '3 hours' AS timed,
                bool_or(told->>'help' <> 'none') FILTER (WHERE told->>'help' IS NOT NULL) AS helped
            FROM sitting s JOIN sitting_item i ON i.sitting_id = s.id
            WHERE s.client_id = ? AND s.clinic_id = ? AND s.day BETWEEN ? AND ?
                AND told->>'outcome' IN ('done', 'part')
            GROUP BY s.id
        ) AS held";

    public function __construct(
        private Connection $connection,
    ) {
    }

    /** @return array{timed: int, minutes: int, helped: int, alone: int} sittings, but for the minutes */
    public function between(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $found = $this->connection->fetchAssociative(self::TIMES, [
            $client->id,
            $client->clinicId,
            $from->format('Y-m-d'),
            $until->format('Y-m-d'),
        ]);
        $row = new Row(false === $found ? [] : $found);

        return [
            'timed' => $row->int('timed'),
            'minutes' => $row->int('minutes'),
            'helped' => $row->int('helped'),
            'alone' => $row->int('alone'),
        ];
    }
}
