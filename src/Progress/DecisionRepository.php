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
    public function for(Client $client): array
    {
        return $this->entities->getRepository(Decision::class)->findBy(
            ['clientId' => $client->id, 'clinicId' => $client->clinicId],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return list<string> keys of answered proposals, all or those since a time */
    public function keys(Client $client, ?\DateTimeImmutable $since = null): array
    {
        return array_map(
            static fn (Decision $d): string => $d->proposalKey,
            array_values(array_filter(
                $this->for($client),
                static fn (Decision $d): bool => null === $since || $d->at >= $since,
            )),
        );
    }

    public function keep(Decision $decision): void
    {
        $this->entities->persist($decision);
        $this->entities->flush();
    }
}
