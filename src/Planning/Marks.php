<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Placement\RungOnSide;
use Symfony\Component\Uid\Uuid;

/** Who was shown what: the client beside a therapist, a helper with a sign-off. */
final readonly class Marks
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<string> `rung|side` that a therapist marked as shown */
    public function shown(Client $client): array
    {
        return array_values(array_unique(array_map(
            static fn (ShownRung $s): string => (new RungOnSide($s->rungId, $s->side))->text(),
            $this->entities->getRepository(ShownRung::class)->findBy($client->scope()),
        )));
    }

    /** @return list<SignOff> that hold on the day, those that end first before the others */
    public function signed(Client $client, \DateTimeImmutable $today): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(SignOff::class)->findBy(
                $client->scope() + ['endedAt' => null],
                ['until' => 'ASC', 'id' => 'ASC'],
            ),
            static fn (SignOff $s): bool => $s->until->format('Y-m-d') >= $today->format('Y-m-d'),
        ));
    }

    public function signOff(Client $client, string $id): ?SignOff
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(SignOff::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }
}
