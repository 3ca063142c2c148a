<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;

/** Who helps a client. */
final readonly class Helpers
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Helper> who have not left, who came first before the others */
    public function of(Client $client): array
    {
        return $this->entities->getRepository(Helper::class)->findBy(
            $client->scope() + ['leftAt' => null],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return array<string, Helper> who count as being there, by id */
    public function there(Client $client): array
    {
        $there = [];
        foreach ($this->of($client) as $helper) {
            if ($helper->isThere()) {
                $there[$helper->id] = $helper;
            }
        }

        return $there;
    }

    /** @return array<string, string> of everybody who ever helped, by id */
    public function names(Client $client): array
    {
        $names = [];
        foreach ($this->entities->getRepository(Helper::class)->findBy($client->scope()) as $helper) {
            $names[$helper->id] = $helper->name;
        }

        return $names;
    }

    public function find(Client $client, string $id): ?Helper
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Helper::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    /** As whom somebody who works in a care home helps a client. */
    public function ofWorker(Client $client, string $careWorkerId): ?Helper
    {
        return $this->entities->getRepository(Helper::class)->findOneBy(
            $client->scope() + ['careWorkerId' => $careWorkerId, 'leftAt' => null],
        );
    }

    /** @return list<Helper> whom somebody who works in a care home is to its residents */
    public function whoAre(string $careWorkerId): array
    {
        return $this->entities->getRepository(Helper::class)->findBy(
            ['careWorkerId' => $careWorkerId, 'leftAt' => null],
        );
    }

    public function keep(Helper ...$helpers): void
    {
        foreach ($helpers as $helper) {
            $this->entities->persist($helper);
        }
        $this->entities->flush();
    }
}
