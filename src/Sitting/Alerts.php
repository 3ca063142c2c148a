<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

final readonly class Alerts
{
    public function __construct(
        private EntityManagerInterface $entities,
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
            ownerId: $client->therapistId,
        ));
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
