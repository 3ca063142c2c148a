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

    public function answered(Client $client): Answered
    {
        return new Answered($this->for($client));
    }

    public function keep(Decision $decision): void
    {
        $this->entities->persist($decision);
        $this->entities->flush();
    }
}
