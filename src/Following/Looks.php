<?php

declare(strict_types=1);

namespace HandGarden\Following;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;

/** Who looked at a client, and how blocks were looked back on. */
final readonly class Looks
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<ClientLook> newest first */
    public function of(Client $client, int $most = 40): array
    {
        return $this->entities->getRepository(ClientLook::class)->findBy(
            $client->scope(),
            ['at' => 'DESC', 'id' => 'DESC'],
            $most,
        );
    }

    /** The next visit that was agreed, of today or to come; null: none. */
    public function nextVisit(Client $client, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        return $this->nextVisitLook($client, $today)?->visitOn;
    }

    /** The look at which it was agreed. */
    public function nextVisitLook(Client $client, \DateTimeImmutable $today): ?ClientLook
    {
        $next = null;
        foreach ($this->of($client) as $look) {
            if (null !== $look->visitOn && $look->visitOn >= $today && (
                null === $next || $look->visitOn < $next->visitOn
            )) {
                $next = $look;
            }
        }

        return $next;
    }

    /** @return list<BlockReview> newest first */
    public function reviews(Client $client): array
    {
        return $this->entities->getRepository(BlockReview::class)->findBy(
            $client->scope(),
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    public function reviewOf(Client $client, string $blockId): ?BlockReview
    {
        return $this->entities->getRepository(BlockReview::class)->findOneBy(
            $client->scope() + ['blockId' => $blockId],
            ['at' => 'DESC'],
        );
    }

    public function keep(object $record): void
    {
        $this->entities->persist($record);
        $this->entities->flush();
    }
}
