<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Readings;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/** Readings and visits of one client. */
final class ReadingRepository implements ResetInterface
{
    /** @var array<string, list<RecordedReading>> one query a request */
    private array $kept = [];

    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    /** Readings that count: replaced ones stay in the trail only. */
    public function of(Client $client): Readings
    {
        return new Readings(array_map(static fn (RecordedReading $r) => $r->toReading(), $this->recorded($client)));
    }

    /** @return list<RecordedReading> oldest first, without replaced ones */
    public function recorded(Client $client): array
    {
        if (!isset($this->kept[$client->id])) {
            /** @var list<RecordedReading> $readings */
            $readings = $this->entities->createQuery('SELECT r FROM '.RecordedReading::class.' r WHERE r.clientId = :client AND r.clinicId = :clinic AND r.replacedById IS NULL ORDER BY r.onDay, r.at, r.id')
                ->setParameter('client', $client->id)->setParameter('clinic', $client->clinicId)->getResult();
            $this->kept[$client->id] = $readings;
        }

        return $this->kept[$client->id];
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
