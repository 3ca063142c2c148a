<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Position;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Taken;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/** Readings and visits of one client. */
final class ReadingRepository implements ResetInterface
{
    private const COLUMNS = 'code, side, mode, argument, number, yes, word, on_day, by_eye, trials, position,
        medication, source, by_staff_id';
    /** Neither corrected nor taken back. */
    private const STANDS = 'r.replaced_by_id IS NULL AND r.withdrawn_at IS NULL';

    private const OF_TIME = 'client_id = ? AND clinic_id = ? AND '.self::STANDS.' AND on_day BETWEEN ? AND ?';

    /**
     * Hops from one measured thing to the next, so that it costs the same after two hundred assessments as after
     * two.
     */
    private const NEWEST = 'WITH RECURSIVE newest AS (
            (
                SELECT r.id, r.measured FROM reading r
                WHERE r.client_id = :client AND r.clinic_id = :clinic
                    AND '.self::STANDS.'
                ORDER BY r.measured DESC, r.on_day DESC, r.at DESC, r.id DESC LIMIT 1
            )
            UNION ALL
            SELECT hop.id, hop.measured FROM newest CROSS JOIN LATERAL (
                SELECT r.id, r.measured FROM reading r
                WHERE r.client_id = :client AND r.clinic_id = :clinic
                    AND '.self::STANDS.' AND r.measured < newest.measured
                ORDER BY r.measured DESC, r.on_day DESC, r.at DESC, r.id DESC LIMIT 1
            ) hop
        )
        SELECT id, '.self::COLUMNS.' FROM newest JOIN reading USING (id)';

    /** Hops from one day to the next, so that a day costs the same with one reading as with a hundred. */
    private const DAYS = 'WITH RECURSIVE measured AS (
            (
                SELECT r.on_day FROM reading r
                WHERE r.client_id = :client AND r.clinic_id = :clinic
                    AND '.self::STANDS.' AND r.on_day >= :since
                ORDER BY r.on_day LIMIT 1
            )
            UNION ALL
            SELECT hop.on_day FROM measured CROSS JOIN LATERAL (
                SELECT r.on_day FROM reading r
                WHERE r.client_id = :client AND r.clinic_id = :clinic
                    AND '.self::STANDS.' AND r.on_day > measured.on_day
                ORDER BY r.on_day LIMIT 1
            ) hop
        )
        SELECT on_day FROM measured ORDER BY on_day';

    /** @var array<string, list<KeptReading>> one query a request */
    private array $kept = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
    ) {
    }

    /** Newest day of a reading that stands. */
    public function lastDay(Client $client): ?\DateTimeImmutable
    {
        $day = $this->entities->getConnection()->fetchOne(
            'SELECT max(on_day) FROM reading r
                WHERE client_id = ? AND clinic_id = ? AND '.self::STANDS,
            [$client->id, $client->clinicId],
        );

        return \is_string($day) ? new \DateTimeImmutable($day, new \DateTimeZone('UTC')) : null;
    }

    /**
     * What is known now: the newest reading of each kind, hand, mode and argument; replaced ones stay in the trail
     * only.
     */
    public function for(Client $client): Readings
    {
        return new Readings(
            array_map(
                static fn (KeptReading $k): Reading => $k->reading,
                $this->newest($client),
            ),
        );
    }

    /** @return list<KeptReading> */
    public function newest(Client $client): array
    {
        return $this->kept[$client->id] ??= array_map(static function (array $values): KeptReading {
            $row = new Row($values);

            return new KeptReading(
                $row->text('id'),
                self::reading(
                    $row,
                    $row->day('on_day'),
                    self::taken($row),
                ),
            );
        }, $this->entities->getConnection()->fetchAllAssociative(self::NEWEST, [
            'client' => $client->id,
            'clinic' => $client->clinicId,
        ]));
    }

    private static function taken(Row $row): Taken
    {
        return new Taken(
            $row->text('by_staff_id'),
            Position::from($row->text('position')),
            MedicationState::from($row->text('medication')),
            Source::from($row->text('source')),
            trials: $row->floats('trials'),
        );
    }

    private static function reading(Row $row, \DateTimeImmutable $day, Taken $taken): Reading
    {
        return new Reading(
            $row->text('code'),
            Side::tryFrom($row->textOrNull('side') ?? ''),
            Mode::tryFrom($row->textOrNull('mode') ?? ''),
            $row->textOrNull('argument'),
            value: $row->float('number') ?? $row->bool('yes') ?? $row->textOrNull('word'),
            on: $day,
            byEye: $row->bool('by_eye') ?? false,
            taken: $taken,
        );
    }

    /** @return list<string> days with a reading that stands, oldest first */
    public function days(Client $client, \DateTimeImmutable $since): array
    {
        /** @var list<string> $days */
        $days = $this->entities->getConnection()->fetchFirstColumn(self::DAYS, [
            'client' => $client->id,
            'clinic' => $client->clinicId,
            'since' => $since->format('Y-m-d'),
        ]);

        return $days;
    }

    /**
     * Everything that counts of some days, oldest first, in one query.
     *
     * @param list<string> $days
     *
     * @return list<Reading>
     */
    public function ofDays(Client $client, array $days): array
    {
        return [] === $days ? [] : $this->standing(
            $client,
            'on_day IN (?)',
            [$days],
            [ArrayParameterType::STRING],
        );
    }

    /**
     * The first and the last of each thing that was measured in a time, beside all of some of its days: what is said of
     * begin and end is exact, however often a hand was measured.
     *
     * @param list<string> $days
     *
     * @return list<Reading> oldest first
     */
    public function endsAndDays(
        Client $client,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
        array $days,
    ): array {
        return $this->standing(
            $client,
            'on_day BETWEEN ? AND ? AND (on_day IN (?) OR id IN (
                SELECT first_value(id) OVER w FROM reading r WHERE '.self::OF_TIME.'
                WINDOW w AS (PARTITION BY code, side, mode, argument ORDER BY on_day, at, id)
                UNION SELECT first_value(id) OVER w FROM reading r WHERE '.self::OF_TIME.'
                WINDOW w AS (PARTITION BY code, side, mode, argument ORDER BY on_day DESC, at DESC, id DESC)
            ))',
            [
                $from->format('Y-m-d'),
                $until->format('Y-m-d'),
                [] === $days ? ['1900-01-01'] : $days,
                ...self::ofTime($client, $from, $until),
                ...self::ofTime($client, $from, $until),
            ],
            [
                ParameterType::STRING,
                ParameterType::STRING,
                ArrayParameterType::STRING,
                ...array_fill(0, 8, ParameterType::STRING),
            ],
        );
    }

    /** @return array{string, string, string, string} */
    private static function ofTime(
        Client $client,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
    ): array {
        return [$client->id, $client->clinicId, $from->format('Y-m-d'), $until->format('Y-m-d')];
    }

    /**
     * What was known on a day: the newest of each thing that was measured in the weeks before it, which the database
     * picks out, however often a hand was measured.
     */
    public function asOf(Client $client, \DateTimeImmutable $day, int $lookBackDays): Readings
    {
        return new Readings($this->read(
            'SELECT DISTINCT ON (code, side, mode, argument) '.self::COLUMNS.' FROM reading r
             WHERE client_id = ? AND clinic_id = ? AND '.self::STANDS.'
                AND on_day <= ? AND on_day >= ?
             ORDER BY code, side, mode, argument, on_day DESC, at DESC, id DESC',
            [
                $client->id,
                $client->clinicId,
                $day->format('Y-m-d'),
                $day->modify('-'.$lookBackDays.' days')->format('Y-m-d'),
            ],
            array_fill(0, 4, ParameterType::STRING),
        ));
    }

    /**
     * Everything that counts since a day, oldest first, in one query.
     *
     * @param list<string> $codes empty: every code
     *
     * @return list<Reading>
     */
    public function since(Client $client, \DateTimeImmutable $day, array $codes = []): array
    {
        return [] === $codes
            ? $this->standing(
                $client,
                'on_day >= ?',
                [$day->format('Y-m-d')],
                [ParameterType::STRING],
            )
            : $this->standing(
                $client,
                'on_day >= ? AND code IN (?)',
                [$day->format('Y-m-d'), $codes],
                [ParameterType::STRING, ArrayParameterType::STRING],
            );
    }

    /**
     * @param list<string|list<string>>               $values of the condition
     * @param list<ParameterType|ArrayParameterType> $types
     *
     * @return list<Reading>
     */
    private function standing(Client $client, string $condition, array $values, array $types): array
    {
        return $this->read(
            'SELECT '.self::COLUMNS.' FROM reading r
             WHERE client_id = ? AND clinic_id = ? AND '.self::STANDS.'
                AND '.$condition.' ORDER BY on_day, at, id',
            [$client->id, $client->clinicId, ...$values],
            [ParameterType::STRING, ParameterType::STRING, ...$types],
        );
    }

    /**
     * @param list<string|list<string>>              $values
     * @param list<ParameterType|ArrayParameterType> $types
     *
     * @return list<Reading>
     */
    private function read(string $query, array $values, array $types): array
    {
        $rows = $this->entities->getConnection()->executeQuery(
            $query,
            $values,
            $types,
        )->fetchAllAssociative();
        $days = $taken = []; // thousands of rows share a few days and circumstances
        $readings = [];
        foreach ($rows as $values) {
            $row = new Row($values);
            $day = $row->text('on_day');
            $how = implode(
                '|',
                [
                    $row->text('by_staff_id'),
                    $row->text('position'),
                    $row->text('medication'),
                    $row->text('source'),
                    $row->text('trials'),
                ],
            );
            $readings[] = self::reading(
                $row,
                $days[$day] ??= $row->day('on_day'),
                $taken[$how] ??= self::taken($row),
            );
        }

        return $readings;
    }

    /** @return list<RecordedReading> of one visit, with those that were corrected */
    public function ofVisit(Visit $visit): array
    {
        return $this->entities->getRepository(RecordedReading::class)->findBy(
            ['visitId' => $visit->id],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function findVisit(Client $client, string $id): ?Visit
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Visit::class)->findOneBy(
                [
                    'id' => $id,
                    'clientId' => $client->id,
                    'clinicId' => $client->clinicId,
                ],
            )
            : null;
    }

    /**
     * What one person kept at one moment, so that it can be taken back; with a visit, of that visit only.
     *
     * @return list<RecordedReading>
     */
    public function keptAt(
        Client $client,
        string $staffId,
        ?string $visitId,
        \DateTimeImmutable $at,
    ): array {
        return $this->entities->getRepository(RecordedReading::class)->findBy(
            [
                'clientId' => $client->id,
                'clinicId' => $client->clinicId,
                'byStaffId' => $staffId,
                'at' => $at,
                ...(null === $visitId ? [] : ['visitId' => $visitId]),
                'replacedById' => null,
                'withdrawnAt' => null,
            ],
        );
    }

    /** @return list<Reading> every one of a measure that counts, oldest first */
    public function history(Client $client, string $code): array
    {
        return array_map(
            static fn (RecordedReading $r): Reading => $r->toReading(),
            $this->entities->getRepository(RecordedReading::class)->findBy(
                [
                    'clientId' => $client->id,
                    'clinicId' => $client->clinicId,
                    'code' => $code,
                    'replacedById' => null,
                    'withdrawnAt' => null,
                ],
                ['onDay' => 'ASC', 'at' => 'ASC', 'id' => 'ASC'],
            ),
        );
    }

    public function find(Client $client, string $id): ?RecordedReading
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(RecordedReading::class)->findOneBy(
                [
                    'id' => $id,
                    'clientId' => $client->id,
                    'clinicId' => $client->clinicId,
                ],
            )
            : null;
    }

    /** @return list<RecordedReading> what this one replaced, newest first */
    public function trail(RecordedReading $reading): array
    {
        $trail = [];
        $older = $reading;
        while (
            null !== $older = $this->entities->getRepository(RecordedReading::class)->findOneBy(
                ['replacedById' => $older->id],
            )
        ) {
            $trail[] = $older;
        }

        return $trail;
    }

    /**
     * What replaces these, and what replaces that.
     *
     * @param list<RecordedReading> $readings
     *
     * @return array<string, RecordedReading> by the id of what is replaced
     */
    public function replacing(array $readings): array
    {
        $replacing = [];
        while ([] !== $readings) {
            $ids = [];
            foreach ($readings as $reading) {
                if (null !== $reading->replacedById) {
                    $ids[$reading->replacedById] = $reading->id;
                }
            }
            $readings = [] === $ids
                ? []
                : $this->entities->getRepository(RecordedReading::class)->findBy(['id' => array_keys($ids)]);
            foreach ($readings as $by) {
                $replacing[$ids[$by->id]] = $by;
            }
        }

        return $replacing;
    }

    /** The open visit of this day and person, begun when there is none yet; a signed one takes nothing more. */
    public function visit(
        Client $client,
        \DateTimeImmutable $day,
        string $staffId,
        \DateTimeImmutable $now,
    ): Visit {
        $visit = $this->entities->getRepository(Visit::class)->findOneBy(
            [
                'clientId' => $client->id,
                'clinicId' => $client->clinicId,
                'onDay' => $day,
                'byStaffId' => $staffId,
                'signedAt' => null,
            ],
        );
        if (null === $visit) {
            $visit = new Visit(
                $client->clinicId,
                $client->id,
                $day,
                $staffId,
                at: $now,
            );
            $this->entities->persist($visit);
        }

        return $visit;
    }

    /** @return list<Visit> newest first */
    public function visitsBetween(
        Client $client,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
    ): array {
        /** @var list<Visit> $visits */
        $visits = $this->entities->createQuery(
            'SELECT v FROM '
                .Visit::class
                .' v WHERE v.clientId = :client AND v.clinicId = :clinic AND v.onDay BETWEEN :from AND :until'
                .' ORDER BY v.onDay DESC, v.at DESC',
        )
            ->setParameter('client', $client->id)
            ->setParameter('clinic', $client->clinicId)
            ->setParameter('from', $from->format('Y-m-d'))
            ->setParameter('until', $until->format('Y-m-d'))
            ->getResult();

        return $visits;
    }

    /** @return list<Visit> newest first */
    public function visits(Client $client, int $most): array
    {
        /** @var list<Visit> $visits */
        $visits = $this->entities->createQuery(
            'SELECT v FROM '
                .Visit::class
                .' v WHERE v.clientId = :client AND v.clinicId = :clinic ORDER BY v.onDay DESC, v.at DESC',
        )
            ->setParameter('client', $client->id)
            ->setParameter('clinic', $client->clinicId)
            ->setMaxResults($most)
            ->getResult();

        return $visits;
    }

    /** @param list<RecordedReading> $readings */
    public function add(array $readings): void
    {
        foreach ($readings as $reading) {
            $this->entities->persist($reading);
        }
        $this->save();
    }

    /** Writes what was changed on readings and visits. */
    public function save(): void
    {
        $this->entities->flush();
        $this->kept = [];
    }

    public function reset(): void
    {
        $this->kept = [];
    }
}
