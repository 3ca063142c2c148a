<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Home\ConsentKind;
use Symfony\Component\Uid\Uuid;

/** What clients agreed to. */
final readonly class Consents
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Consent> newest first, those that were taken back too */
    public function of(Client $client): array
    {
        return $this->entities->getRepository(Consent::class)->findBy(
            $client->scope(),
            ['keptAt' => 'DESC'],
        );
    }

    public function holding(Client $client, ConsentKind $kind): ?Consent
    {
        return $this->entities->getRepository(Consent::class)->findOneBy(
            $client->scope() + ['kind' => $kind, 'endedAt' => null],
        );
    }

    public function holds(Client $client, ConsentKind $kind): bool
    {
        return null !== $this->holding($client, $kind);
    }

    /** Whether a plan may be opened: to the client, or to somebody who helps. */
    public function openPlan(Client $client, bool $toHelper): bool
    {
        return $this->holds($client, ConsentKind::HomeUse)
            && (!$toHelper || $this->holds($client, ConsentKind::HelperSees));
    }

    public function find(Client $client, string $id): ?Consent
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Consent::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    public function keep(Consent ...$consents): void
    {
        array_map($this->entities->persist(...), $consents);
        $this->entities->flush();
    }
}
