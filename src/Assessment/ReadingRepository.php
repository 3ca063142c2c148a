<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/** Readings and visits of one client. */
final class ReadingRepository implements ResetInterface
{
    private const NEWEST = 'SELECT DISTINCT ON (code, side, mode, argument) id, code, side, mode, argument, number, yes, word, on_day
        FROM reading WHERE client_id = ? AND clinic_id = ? AND replaced_by_id IS NULL
        ORDER BY code, side, mode, argument, on_day DESC, at DESC, id DESC';

    /** @var array<string, list<KeptReading>> one query a request */
    private array $kept = [];

    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    /** What is known now: the newest reading of each kind, hand, mode and argument; replaced ones stay in the trail only. */
    public function of(Client $client): Readings
    {
        return new Readings(array_map(static fn (KeptReading $k): Reading => $k->reading, $this->newest($client)));
    }

    /** @return list<KeptReading> */
    public function newest(Client $client): array
    {
        return $this->kept[$client->id] ??= array_map(static function (array $values): KeptReading {
            $row = new Row($values);

            return new KeptReading($row->text('id'), new Reading(
                $row->text('code'),
                Side::tryFrom($row->textOrNull('side') ?? ''),
                Mode::tryFrom($row->textOrNull('mode') ?? ''),
                $row->textOrNull('argument'),
                $row->float('number') ?? $row->bool('yes') ?? $row->textOrNull('word'),
                $row->day('on_day'),
            ));
        }, $this->entities->getConnection()->fetchAllAssociative(self::NEWEST, [$client->id, $client->clinicId]));
    }

    /** @return list<Reading> every one of a measure that counts, oldest first */
    public function history(Client $client, string $code): array
    {
        return array_map(static fn (RecordedReading $r): Reading => $r->toReading(), $this->entities->getRepository(RecordedReading::class)->findBy(['clientId' => $client->id, 'clinicId' => $client->clinicId, 'code' => $code, 'replacedById' => null], ['onDay' => 'ASC', 'at' => 'ASC', 'id' => 'ASC']));
    }

    public function find(Client $client, string $id): ?RecordedReading
    {
        return Uuid::isValid($id) ? $this->entities->getRepository(RecordedReading::class)->findOneBy(['id' => $id, 'clientId' => $client->id, 'clinicId' => $client->clinicId]) : null;
    }

    /** @return list<RecordedReading> what this one replaced, newest first */
    public function trail(RecordedReading $reading): array
    {
        $trail = [];
        $older = $reading;
        while (null !== $older = $this->entities->getRepository(RecordedReading::class)->findOneBy(['replacedById' => $older->id])) {
            $trail[] = $older;
        }

        return $trail;
    }

    /** The visit of this day and person, begun when there is none yet. */
    public function visit(Client $client, \DateTimeImmutable $day, string $staffId, \DateTimeImmutable $now): Visit
    {
        $visit = $this->entities->getRepository(Visit::class)->findOneBy(['clientId' => $client->id, 'clinicId' => $client->clinicId, 'onDay' => $day, 'byStaffId' => $staffId]);
        if (null === $visit) {
            $visit = new Visit($client->clinicId, $client->id, $day, $staffId, $now);
            $this->entities->persist($visit);
        }

        return $visit;
    }

    /** @return list<Visit> newest first */
    public function visits(Client $client, int $most): array
    {
        /** @var list<Visit> $visits */
        $visits = $this->entities->createQuery('SELECT v FROM '.Visit::class.' v WHERE v.clientId = :client AND v.clinicId = :clinic ORDER BY v.onDay DESC, v.at DESC')
            ->setParameter('client', $client->id)->setParameter('clinic', $client->clinicId)->setMaxResults($most)->getResult();

        return $visits;
    }

    /** @param list<RecordedReading> $readings */
    public function add(array $readings): void
    {
        foreach ($readings as $reading) {
            $this->entities->persist($reading);
        }
        $this->entities->flush();
        $this->kept = [];
    }

    public function reset(): void
    {
        $this->kept = [];
    }
}
