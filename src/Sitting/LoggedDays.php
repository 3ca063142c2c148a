<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use HandGarden\Client\Client;
use HandGarden\Web\Row;

/** Sittings of a span of days, each with what was told of it in all. */
final readonly class LoggedDays
{
    private const SITTINGS = "SELECT s.id, s.day, s.started_at, s.finished_at IS NOT NULL AS finished, s.note,
            s.actor_id, s.from_paper, s.in_class, s.written_by, s.pain_before,
            count(i.id) AS items,
            count(*) FILTER (WHERE told->>'outcome' = 'done') AS done,
            count(*) FILTER (WHERE told->>'outcome' = 'part') AS part,
            count(*) FILTER (WHERE told->>'outcome' = 'skipped') AS skipped,
            mode() WITHIN GROUP (ORDER BY told->>'reason') AS reason,
            max((told->>'pain_after')::int) AS pain_after,
            sum((told->>'worn')::int) AS worn,
            ".LoggedTrend::SYMPTOM."
        FROM sitting s LEFT JOIN sitting_item i
            ON i.sitting_id = s.id AND i.client_id = :client AND told IS NOT NULL
        WHERE s.client_id = :client AND s.clinic_id = :clinic AND s.day BETWEEN :from AND :until
            AND (:some = 'false' OR s.id IN (:ids)) AND (:person = '' OR s.actor_id = :person)
            AND (:all OR EXISTS (
                SELECT 1 FROM sitting_item o WHERE o.sitting_id = s.id AND o.rung_id IN (:rungs) AND o.told IS NOT NULL
            ))
        GROUP BY s.id ORDER BY s.day DESC, s.started_at DESC, s.id DESC";
    private const NONE = '00000000-0000-0000-0000-000000000000';
    private const MENDED = "SELECT sitting_id, count(*) - count(DISTINCT item_id) AS mended FROM sitting_event
        WHERE sitting_id IN (:sittings) AND kind = 'line' GROUP BY sitting_id";

    public function __construct(
        private Connection $connection,
    ) {
    }

    /**
     * @param ?list<string> $rungIds of which at least one was told of; null: whatever was
     * @param string        $person  staff who ran it; empty: anybody
     *
     * @return list<LoggedDay> newest first
     */
    public function between(
        Client $client,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
        ?array $rungIds = null,
        string $person = '',
    ): array {
        return $this->found($client, [
            'from' => $from->format('Y-m-d'),
            'until' => $until->format('Y-m-d'),
            'person' => $person,
            'all' => null === $rungIds ? 'true' : 'false',
            'rungs' => null === $rungIds || [] === $rungIds ? [''] : $rungIds,
        ]);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<LoggedDay> newest first
     */
    public function these(Client $client, array $ids): array
    {
        return [] === $ids ? [] : $this->found($client, ['some' => 'true', 'ids' => $ids]);
    }

    /**
     * @param array<string, string|list<string>> $asked
     *
     * @return list<LoggedDay>
     */
    private function found(Client $client, array $asked): array
    {
        $rows = $this->connection->fetchAllAssociative(
            self::SITTINGS,
            $asked + [
                'client' => $client->id,
                'clinic' => $client->clinicId,
                'from' => '1900-01-01',
                'until' => '2999-12-31',
                'person' => '',
                'all' => 'true',
                'rungs' => [''],
                'some' => 'false',
                'ids' => [self::NONE],
            ],
            ['rungs' => ArrayParameterType::STRING, 'ids' => ArrayParameterType::STRING],
        );
        $mended = $this->mended(array_column($rows, 'id'));

        return array_map(
            static fn (array $values): LoggedDay => LoggedDay::of(
                new Row($values),
                $mended,
            ),
            $rows,
        );
    }

    /**
     * @param array<mixed> $sittings ids
     *
     * @return array<string, int> how many lines took the place of another, by sitting
     */
    private function mended(array $sittings): array
    {
        $mended = [];
        foreach (
            [] === $sittings ? [] : $this->connection->fetchAllKeyValue(
                self::MENDED,
                ['sittings' => $sittings],
                ['sittings' => ArrayParameterType::STRING],
            ) as $sitting => $count
        ) {
            $mended[(string) $sitting] = is_numeric($count) ? (int) $count : 0;
        }

        return $mended;
    }
}
