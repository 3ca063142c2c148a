<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/** Who stands in for whom. Days are those of the clinic. */
final readonly class Deputies
{
    private const NOW = 'clinic_id = ? AND ended_at IS NULL AND from_day <= ? AND until_day >= ?';

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $connection,
        private Clock $clock,
    ) {
    }

    /** @return list<string> ids of those for whom somebody stands in today */
    public function coveredBy(string $clinicId, string $deputyId, string $zone): array
    {
        $day = $this->today($zone);
        /** @var list<string> $ids */
        $ids = $this->connection->fetchFirstColumn(
            'SELECT for_staff_id FROM deputy WHERE '.self::NOW.' AND deputy_id = ?',
            [$clinicId, $day, $day, $deputyId],
        );

        return $ids;
    }

    /** Who answers for the clients of somebody today: their deputy, or they themselves. */
    public function whoAnswersFor(string $clinicId, string $staffId, string $zone): string
    {
        $day = $this->today($zone);
        $deputy = $this->connection->fetchOne(
            'SELECT deputy_id FROM deputy WHERE '.self::NOW.' AND for_staff_id = ? ORDER BY at DESC LIMIT 1',
            [$clinicId, $day, $day, $staffId],
        );

        return \is_string($deputy) ? $deputy : $staffId;
    }

    /** @return list<Deputy> of now and to come, the first to begin first */
    public function ahead(string $clinicId, string $zone): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Deputy::class)->findBy(
                ['clinicId' => $clinicId, 'endedAt' => null],
                ['fromDay' => 'ASC', 'at' => 'ASC'],
            ),
            fn (Deputy $d): bool => $d->untilDay >= $this->clock->today($zone),
        ));
    }

    public function find(string $clinicId, string $id): ?Deputy
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Deputy::class)->findOneBy(
                ['clinicId' => $clinicId, 'id' => $id],
            )
            : null;
    }

    public function add(Deputy $deputy): void
    {
        $this->entities->persist($deputy);
        $this->entities->flush();
    }

    public function end(Deputy $deputy): void
    {
        $deputy->endedAt = $this->clock->now();
        $this->entities->flush();
    }

    private function today(string $zone): string
    {
        return $this->clock->today($zone)->format('Y-m-d');
    }
}
