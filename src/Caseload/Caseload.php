<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use HandGarden\Client\Client;
use HandGarden\Client\CountsChanges;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Web\Clock;
use HandGarden\Web\Row;

/**
 * The kept rows: one a client, worked out when something changed or the client's day is over, never while a page waits
 * for all of them.
 *
 * A row holds until `stale_from`. Whoever changes something sets that to the past in the same transaction; working it
 * out sets it to the client's next midnight.
 */
final readonly class Caseload implements CountsChanges
{
    public const PAGE = 30;
    /** Raised when what a row says is worked out otherwise. */
    public const VERSION = 6;
    private const RETRY_AFTER = '+15 minutes';
    private const PAST = '1970-01-01T00:00:00Z';
    private const NOBODY = '00000000-0000-0000-0000-000000000000';
    private const OWN = '(therapist_id IN (:staff) OR COALESCE(:lead AND lead_from <= :now, false))';
    private const COLUMNS = 'client_id, name, about, grouped, summary, '.self::OWN." AS own,
        stale_from <= :now OR version <> :version AS stale, failure <> '' AS failed";
    private const LISTED = "FROM caseload_row
        WHERE clinic_id = :clinic AND archived = :archived AND (:words = '' OR lower(name) LIKE :like)
            AND (:of = '' OR therapist_id::text = :of)";

    public function __construct(
        private Connection $connection,
        private Clock $clock,
    ) {
    }

    /** Says that what is kept of a client no longer holds; part of the transaction that is open. */
    public function mark(string $clientId): void
    {
        $this->connection->executeStatement(
            'UPDATE caseload_row SET stale_from = ?, changes = changes + 1 WHERE client_id = ?',
            [self::PAST, $clientId],
        );
    }

    /** The same of everybody in a clinic. */
    public function markAll(string $clinicId): void
    {
        $this->connection->executeStatement(
            'UPDATE caseload_row SET stale_from = ?, changes = changes + 1 WHERE clinic_id = ?',
            [self::PAST, $clinicId],
        );
    }

    /** Takes a client in, or what has changed of their name and place; the rest is then to be worked out. */
    public function enter(Client $client): void
    {
        $this->connection->executeStatement(
            'INSERT INTO caseload_row (client_id, clinic_id, therapist_id, archived, name, sorted, about, stale_from)
                VALUES (:client, :clinic, :therapist, :archived, :name, :sorted, :about, :past)
                ON CONFLICT (client_id) DO UPDATE SET therapist_id = EXCLUDED.therapist_id,
                    archived = EXCLUDED.archived, name = EXCLUDED.name, sorted = EXCLUDED.sorted,
                    about = EXCLUDED.about, stale_from = EXCLUDED.stale_from, changes = caseload_row.changes + 1',
            [
                'client' => $client->id,
                'clinic' => $client->clinicId,
                'therapist' => $client->therapistId,
                'archived' => $client->isArchived() ? 'true' : 'false',
                'name' => $client->name(),
                'sorted' => $client->familyName.' '.$client->givenName,
                'about' => '' === $client->story ? self::conditionsOf($client) : $client->story,
                'past' => self::PAST,
            ],
        );
    }

    public function changes(Client $client): int
    {
        $found = $this->connection->fetchOne(
            'SELECT changes FROM caseload_row WHERE client_id = ? AND clinic_id = ?',
            [$client->id, $client->clinicId],
        );

        return is_numeric($found) ? (int) $found : 0;
    }

    /** @return list<CaseloadRow> */
    public function page(Listing $listing, int $page): array
    {
        $rows = [];
        foreach (
            $this->connection->fetchAllAssociative(
                'SELECT '.self::COLUMNS.' '.self::LISTED
                    .' ORDER BY rank, '.self::OWN.' DESC, urgency DESC, sorted, client_id'
                    .' LIMIT '.self::PAGE.' OFFSET '.(self::PAGE * ($page - 1)),
                $this->parameters($listing),
                ['staff' => ArrayParameterType::STRING],
            ) as $values
        ) {
            $row = new Row($values);
            $rows[] = new CaseloadRow(
                $row->text('client_id'),
                $row->text('name'),
                $row->text('about'),
                true === $row->bool('own'),
                group: Group::from($row->text('grouped')),
                summary: SummaryFormat::read($row->textOrNull('summary')),
                isStale: true === $row->bool('stale'),
                hasFailed: true === $row->bool('failed'),
            );
        }

        return $rows;
    }

    /** @return array<string, int> by group, in their order */
    public function counts(Listing $listing): array
    {
        /** @var array<string, int> $counts */
        $counts = $this->connection->fetchAllKeyValue(
            'SELECT grouped, count(*) '.self::LISTED.' GROUP BY grouped, rank ORDER BY rank',
            array_diff_key(
                $this->parameters($listing),
                [
                    'staff' => 1,
                    'now' => 1,
                    'version' => 1,
                    'lead' => 1,
                ],
            ),
        );

        return $counts;
    }

    /**
     * The next row that has to be worked out, held until the transaction ends; rows that somebody else holds are
     * passed over.
     *
     * @param list<string>  $except client ids that are not to be tried again
     * @param ?list<string> $among  client ids; null: all
     *
     * @return ?array{clientId: string, clinicId: string}
     */
    public function claim(array $except, ?array $among = null): ?array
    {
        $found = $this->connection->fetchAssociative(
            'SELECT client_id, clinic_id FROM caseload_row
                WHERE (stale_from <= ? OR version <> ?) AND NOT archived AND client_id NOT IN (?)'
                .(null === $among ? '' : ' AND client_id IN (?)')
                .' ORDER BY stale_from, client_id LIMIT 1 FOR UPDATE SKIP LOCKED',
            [
                $this->now(),
                self::VERSION,
                [...$except, self::NOBODY],
                ...(null === $among ? [] : [$among]),
            ],
            [2 => ArrayParameterType::STRING, 3 => ArrayParameterType::STRING],
        );
        if (false === $found) {
            return null;
        }
        $row = new Row($found);

        return [
            'clientId' => $row->text('client_id'),
            'clinicId' => $row->text('clinic_id'),
        ];
    }

    /** Keeps what was worked out, until the client's day is over. */
    public function keep(Client $client, Summary $summary): void
    {
        $group = $summary->group();
        $this->connection->executeStatement(
            'UPDATE caseload_row SET grouped = ?, rank = ?, urgency = ?, summary = ?, version = ?, stale_from = ?,
                lead_from = ?, made_at = ?, failure = \'\' WHERE client_id = ?',
            [
                $group->value,
                $group->rank(),
                $summary->urgency(),
                SummaryFormat::write($summary),
                self::VERSION,
                self::midnightAfter($summary->day, $client->zone)->format(\DATE_RFC3339),
                $summary->leadFrom()?->format(\DATE_RFC3339),
                $this->now(),
                $client->id,
            ],
        );
    }

    /** Notes that a row could not be worked out; it is tried again later and says so meanwhile. */
    public function failed(string $clientId, string $why): void
    {
        $this->connection->executeStatement(
            'UPDATE caseload_row SET failure = ?, stale_from = ?, version = ? WHERE client_id = ?',
            [
                mb_substr($why, 0, 300),
                $this->clock->now()->modify(self::RETRY_AFTER)->format(\DATE_RFC3339),
                self::VERSION,
                $clientId,
            ],
        );
    }

    public function staleRows(): int
    {
        $found = $this->connection->fetchOne(
            'SELECT count(*) FROM caseload_row WHERE (stale_from <= ? OR version <> ?) AND NOT archived',
            [$this->now(), self::VERSION],
        );

        return is_numeric($found) ? (int) $found : 0;
    }

    /** The instant at which the day after begins; where clocks skip midnight, the first instant of that day. */
    public static function midnightAfter(\DateTimeImmutable $day, string $zone): \DateTimeImmutable
    {
        $next = $day->modify('+1 day')->format('Y-m-d');

        return (new \DateTimeImmutable(
            $next.' 00:00:00',
            new \DateTimeZone($zone),
        ))
            ->setTimezone(new \DateTimeZone('UTC'));
    }

    private static function conditionsOf(Client $client): string
    {
        return implode(
            ', ',
            array_map(
                static fn (Condition $c): string => $c->label(),
                $client->conditions(),
            ),
        );
    }

    private function now(): string
    {
        return $this->clock->now()->format(\DATE_RFC3339);
    }

    /** @return array<string, string|int|list<string>> */
    private function parameters(Listing $listing): array
    {
        $words = mb_strtolower(trim($listing->words));

        return [
            'clinic' => $listing->clinicId,
            'archived' => $listing->isArchive ? 'true' : 'false',
            'words' => $words,
            'of' => $listing->of,
            'like' => '%'.addcslashes($words, '%_\\').'%',
            'staff' => $listing->staffIds,
            'lead' => $listing->isLead ? 'true' : 'false',
            'now' => $this->now(),
            'version' => self::VERSION,
        ];
    }
}
