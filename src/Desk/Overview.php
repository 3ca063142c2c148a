<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use HandGarden\Client\Client;
use HandGarden\Progress\OpenProposals;
use HandGarden\Web\Clock;

/** What a list of clients says about each: last sitting, whether one is due, what waits. */
final readonly class Overview
{
    public function __construct(
        private Connection $connection,
        private OpenProposals $open,
        private Clock $clock,
    ) {
    }

    /**
     * Sittings, suspensions and measures of all clients in four queries, and what waits in three, however many
     * there are.
     *
     * @param list<Client> $clients
     *
     * @return list<ClientRow> suspended first, then those with something to decide, then those who are due
     */
    public function rows(array $clients): array
    {
        $ids = array_map(static fn (Client $c): string => $c->id, $clients);
        $last = $this->column(
            "SELECT client_id, max(day) FROM sitting_item WHERE client_id IN (?) AND told->>'outcome' <> 'skipped' "
                .'GROUP BY client_id',
            $ids,
        );
        // A little more than a week: which seven days count depends on the zone of the client.
        $days = $this->column(
            "SELECT client_id, string_agg(DISTINCT day::text, ',') FROM sitting_item WHERE client_id IN (?) AND day > "
                ."CURRENT_DATE - 9 AND told->>'outcome' <> 'skipped' GROUP BY client_id",
            $ids,
        );
        $rest = $this->column(
            'SELECT client_id, count(*) FROM suspension WHERE client_id IN (?) AND reopened_at IS NULL GROUP BY '
                .'client_id',
            $ids,
        );
        $measured = $this->column(
            'SELECT client_id, max(on_day) FROM reading WHERE client_id IN (?) AND replaced_by_id IS NULL GROUP BY '
                .'client_id',
            $ids,
        );
        $waiting = $this->open->counts($clients);
        $rows = [];
        foreach ($clients as $client) {
            $today = $this->clock->today($client->zone);
            $weekAgo = $today->modify('-7 days')->format('Y-m-d');
            $week = \count(
                array_filter(
                    explode(',', $days[$client->id] ?? ''),
                    static fn (string $day): bool => $day > $weekAgo,
                ),
            );
            $lastDay = isset($last[$client->id])
                ? new \DateTimeImmutable($last[$client->id], new \DateTimeZone('UTC'))
                : null;
            $rows[] = new ClientRow(
                $client,
                $lastDay,
                $week,
                $client->daysPerWeek,
                isDue: null === $lastDay || ($lastDay < $today && $week < $client->daysPerWeek),
                waiting: $waiting[$client->id] ?? 0,
                suspended: (int) ($rest[$client->id] ?? 0),
                measuredDaysAgo: isset($measured[$client->id])
                    ? (int) (
                        new \DateTimeImmutable($measured[$client->id], new \DateTimeZone('UTC'))
                    )->diff($today)->format('%a')
                    : null,
            );
        }
        usort($rows, static fn (ClientRow $a, ClientRow $b): int => $a->place() <=> $b->place());

        return $rows;
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, string>
     */
    private function column(string $sql, array $ids): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var array<string, string> $pairs */
        $pairs = $this->connection->executeQuery(
            $sql,
            [$ids],
            [ArrayParameterType::STRING],
        )->fetchAllKeyValue();

        return $pairs;
    }
}
