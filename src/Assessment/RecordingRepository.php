<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Ink\InkTask;
use Symfony\Component\Uid\Uuid;

/** Drawings, traces and trials of one client, and the scales of screens. */
final readonly class RecordingRepository
{
    private const SCALES_SHOWN = 50;

    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Recording> newest first, without those taken back */
    public function for(Client $client, RecordingKind ...$kinds): array
    {
        return $this->entities->getRepository(Recording::class)->findBy(
            [
                'clientId' => $client->id,
                'clinicId' => $client->clinicId,
                'kind' => $kinds,
                'withdrawnAt' => null,
            ],
            ['at' => 'DESC', 'id' => 'DESC'],
            60,
        );
    }

    /** @return list<\DateTimeImmutable> days of the client on which one was made; what was drawn is not read */
    public function daysOf(Client $client, InkTask $task): array
    {
        /** @var list<array{onDay: \DateTimeImmutable}> $rows */
        $rows = $this->entities->createQuery(
            'SELECT DISTINCT r.onDay AS onDay FROM '.Recording::class.' r'
                .' WHERE r.clientId = :client AND r.clinicId = :clinic'
                .' AND r.kind = :kind AND r.task IN (:tasks) AND r.withdrawnAt IS NULL',
        )
            ->setParameter('client', $client->id)
            ->setParameter('clinic', $client->clinicId)
            ->setParameter('kind', RecordingKind::Ink)
            ->setParameter('tasks', $task->names())
            ->getResult();

        return array_column($rows, 'onDay');
    }

    /** @return list<Recording> of one steadying trial, in the order they were recorded */
    public function series(Client $client, string $name): array
    {
        return $this->entities->getRepository(Recording::class)->findBy(
            [
                'clientId' => $client->id,
                'clinicId' => $client->clinicId,
                'series' => $name,
                'withdrawnAt' => null,
            ],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function find(Client $client, string $id): ?Recording
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Recording::class)->findOneBy(
                ['id' => $id, 'clientId' => $client->id, 'clinicId' => $client->clinicId],
            )
            : null;
    }

    public function add(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }

    /**
     * Scales found on one device: a screen counts as the same while the browser says the same of it and of the zoom.
     *
     * @return array<string, float> pixels a millimetre by what the browser says
     */
    public function scales(string $clinicId, string $device): array
    {
        /** @var list<ScreenScale> $found */
        $found = $this->entities->createQuery(
            'SELECT s FROM '
                .ScreenScale::class
                .' s WHERE s.clinicId = :clinic AND s.screen LIKE :device ORDER BY s.at DESC, s.id DESC',
        )
            ->setParameter('clinic', $clinicId)
            ->setParameter('device', $device.'|%')
            ->setMaxResults(self::SCALES_SHOWN)
            ->getResult();
        $scales = [];
        foreach ($found as $scale) {
            $scales[substr($scale->screen, \strlen($device) + 1)] ??= $scale->pixelsPerMm;
        }

        return $scales;
    }
}
