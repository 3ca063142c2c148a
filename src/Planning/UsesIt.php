<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/** What the affected hand does in the day, outside of sittings. */
final readonly class UsesIt
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function current(Client $client): ?UseIt
    {
        return $this->entities->getRepository(UseIt::class)->findOneBy(
            $client->scope() + ['endedAt' => null],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    public function find(Client $client, string $id): ?UseIt
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(UseIt::class)->findOneBy($client->scope() + ['id' => $id])
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
