<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Routine\Shape;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/** The starting points of the clinic, and the shape of a client's routine. */
final readonly class StartingPoints
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Plan $plan,
        private PlanRepository $plans,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /** @return list<StartingPoint> by name */
    public function all(): array
    {
        return $this->entities->getRepository(StartingPoint::class)->findBy(
            ['clinicId' => $this->who->clinicId(), 'endedAt' => null],
            ['name' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return list<StartingPoint> for what this client has, those before the ones for everybody */
    public function for(Client $client): array
    {
        $fitting = array_values(array_filter(
            $this->all(),
            static fn (StartingPoint $p): bool => null === $p->condition
                || \in_array($p->condition, $client->conditions(), true),
        ));
        usort(
            $fitting,
            static fn (StartingPoint $a, StartingPoint $b): int => [null === $a->condition, $a->name]
                <=> [null === $b->condition, $b->name],
        );

        return $fitting;
    }

    public function find(string $id): ?StartingPoint
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(StartingPoint::class)->findOneBy(
                ['clinicId' => $this->who->clinicId(), 'id' => $id, 'endedAt' => null],
            )
            : null;
    }

    public function shapeOf(Client $client, RoutineKind $kind): Shape
    {
        $routine = $this->plans->routine($client, $kind);

        return Shape::of(
            $this->plan->itemsOf($client, $routine),
            $routine->forbidden ?? [],
            array_map(
                static fn (FocusChoice $c): string => $c->key(),
                $this->plans->focusChoices($client),
            ),
            $this->plan->worseSide($client),
        );
    }

    public function end(StartingPoint $point): void
    {
        $point->endedAt = $this->clock->now();
        $this->entities->flush();
    }
}
