<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;

final readonly class DecisionRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Decision> newest first */
    public function of(Client $client): array
    {
        return $this->entities->getRepository(Decision::class)->findBy(
            ['clientId' => $client->id, 'clinicId' => $client->clinicId],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    /**
     * @param list<Client> $clients of one clinic
     *
     * @return array<string, list<string>> keys of answered proposals by client id
     */
    public function keys(array $clients): array
    {
        $keys = [];
        foreach (
            [] === $clients
                ? []
                : $this->entities->getRepository(Decision::class)->findBy(
                    [
                        'clientId' => array_map(static fn (Client $c): string => $c->id, $clients),
                        'clinicId' => $clients[0]->clinicId,
                    ],
                ) as $decision
        ) {
            $keys[$decision->clientId][] = $decision->proposalKey;
        }

        return $keys;
    }

    public function keep(Decision $decision): void
    {
        $this->entities->persist($decision);
        $this->entities->flush();
    }
}
