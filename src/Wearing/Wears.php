<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/** What is worn, and what was. */
final readonly class Wears
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<WearPlan> that hold, in the order in which they began */
    public function plans(Client $client): array
    {
        return $this->entities->getRepository(WearPlan::class)->findBy(
            $client->scope() + ['endedAt' => null],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return list<WearPlan> that held at some time since a day, in the order in which they began */
    public function plansSince(Client $client, \DateTimeImmutable $day): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(WearPlan::class)->findBy(
                $client->scope(),
                ['at' => 'ASC', 'id' => 'ASC'],
            ),
            static fn (WearPlan $p): bool => null === $p->endedAt || $p->endedAt >= $day,
        ));
    }

    public function plan(Client $client, string $id): ?WearPlan
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(WearPlan::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    public function find(Client $client, string $id): ?Wear
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Wear::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    /** @return list<Wear> oldest first */
    public function since(Client $client, \DateTimeImmutable $day): array
    {
        /** @var list<Wear> $wears */
        $wears = $this->entities->createQuery(
            'SELECT w FROM '.Wear::class.' w WHERE w.clientId = :client AND w.clinicId = :clinic AND w.day >= :day
                ORDER BY w.onAt, w.id',
        )->setParameter('client', $client->id)->setParameter('clinic', $client->clinicId)
            ->setParameter('day', $day->format('Y-m-d'))->getResult();

        return $wears;
    }

    /** @return list<Wear> of one plan, oldest first */
    public function of(WearPlan $plan): array
    {
        return $this->entities->getRepository(Wear::class)->findBy(
            ['clinicId' => $plan->clinicId, 'planId' => $plan->id],
            ['onAt' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return list<Wear> on the hands of a client now */
    public function on(Client $client): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Wear::class)->findBy(
                $client->scope() + ['offAt' => null],
                ['onAt' => 'DESC'],
                20,
            ),
            static fn (Wear $w): bool => $w->isOn(),
        ));
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }
}
