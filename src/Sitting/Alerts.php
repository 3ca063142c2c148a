<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Client\Deputies;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

final readonly class Alerts
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Deputies $deputies,
    ) {
    }

    /** @return list<Alert> not answered yet, oldest first */
    public function open(Client $client): array
    {
        return $this->entities->getRepository(Alert::class)->findBy(
            self::scope($client) + ['answeredAt' => null],
            ['receivedAt' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function find(Client $client, string $id): ?Alert
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Alert::class)->findOneBy(self::scope($client) + ['id' => $id])
            : null;
    }

    /** Of one kind and item there is one at a time; what was answered after this was told is known already. */
    public function raise(
        Client $client,
        AlertKind $kind,
        string $itemKey,
        Phrase $why,
        \DateTimeImmutable $begunAt,
        \DateTimeImmutable $told,
    ): void {
        $earlier = $this->entities->getRepository(Alert::class)->findBy(
            self::scope($client) + ['kind' => $kind, 'itemKey' => $itemKey],
        );
        foreach ($earlier as $alert) {
            if (null === $alert->answeredAt || $alert->answeredAt >= $told) {
                return;
            }
        }
        $this->entities->persist(new Alert(
            $client->clinicId,
            $client->id,
            $kind,
            $itemKey,
            why: PhraseFormat::write($why),
            begunAt: $begunAt,
            receivedAt: $told,
            ownerId: $this->deputies->whoAnswersFor($client->clinicId, $client->therapistId, $client->zone),
        ));
        $this->entities->flush();
    }

    /**
     * What waits for an answer of clients who were handed over waits for who has them now.
     *
     * @param list<Client> $clients
     */
    public function handOver(array $clients, string $to): void
    {
        if ([] === $clients) {
            return;
        }
        foreach ($this->entities->getRepository(Alert::class)->findBy([
            'clinicId' => $clients[0]->clinicId,
            'clientId' => array_column($clients, 'id'),
            'answeredAt' => null,
        ]) as $alert) {
            $alert->ownerId = $to;
        }
        $this->entities->flush();
    }

    public function keep(): void
    {
        $this->entities->flush();
    }

    /** @return array{clinicId: string, clientId: string} */
    private static function scope(Client $client): array
    {
        return ['clinicId' => $client->clinicId, 'clientId' => $client->id];
    }
}
