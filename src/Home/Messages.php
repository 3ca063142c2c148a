<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/** What was written from home. */
final readonly class Messages
{
    private const SHOWN = 30;

    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Message> newest first */
    public function of(Client $client): array
    {
        return $this->entities->getRepository(Message::class)->findBy(
            $client->scope(),
            ['receivedAt' => 'DESC', 'id' => 'DESC'],
            self::SHOWN,
        );
    }

    /** How many nobody has answered. */
    public function waiting(Client $client): int
    {
        return $this->entities->getRepository(Message::class)->count(
            $client->scope() + ['answeredAt' => null],
        );
    }

    public function find(Client $client, string $id): ?Message
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Message::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    public function keep(Message ...$messages): void
    {
        array_map($this->entities->persist(...), $messages);
        $this->entities->flush();
    }
}
