<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Client\Deputies;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Web\Row;
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
            $client->scope() + ['answeredAt' => null],
            ['receivedAt' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function find(Client $client, string $id): ?Alert
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Alert::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    /** @return list<Alert> newest first, answered ones too */
    public function all(Client $client, int $most): array
    {
        return $this->entities->getRepository(Alert::class)->findBy(
            $client->scope(),
            ['receivedAt' => 'DESC', 'id' => 'DESC'],
            $most,
        );
    }

    /** @return list<Alert> answered, with a day on which to look again that nobody has looked on */
    public function toLookAt(Client $client): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Alert::class)->findBy(
                $client->scope() + ['lookedAt' => null],
                ['lookOn' => 'ASC', 'id' => 'ASC'],
            ),
            static fn (Alert $a): bool => !$a->isOpen() && null !== $a->lookOn,
        ));
    }

    /** @return list<AlertNote> oldest first */
    public function notes(Alert $alert): array
    {
        return $this->entities->getRepository(AlertNote::class)->findBy(
            ['clinicId' => $alert->clinicId, 'alertId' => $alert->id],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function note(
        Alert $alert,
        AlertNoteKind $kind,
        string $text,
        ?string $byStaffId,
        \DateTimeImmutable $at,
    ): void {
        $this->entities->persist(new AlertNote(
            $alert->clinicId,
            $alert->clientId,
            $alert->id,
            $kind,
            text: $text,
            byStaffId: $byStaffId,
            at: $at,
        ));
        $this->entities->flush();
    }

    /**
     * Of one kind and item there is one at a time, and what is told again while it is open joins it; what was answered
     * after this was told is known already.
     */
    public function raise(
        Client $client,
        AlertKind $kind,
        string $itemKey,
        Phrase $why,
        \DateTimeImmutable $begunAt,
        \DateTimeImmutable $told,
    ): void {
        $earlier = $this->entities->getRepository(Alert::class)->findBy(
            $client->scope() + [
                'kind' => $kind,
                'itemKey' => $itemKey,
            ],
        );
        foreach ($earlier as $alert) {
            if ($alert->isOpen()) {
                $this->join($alert, $told);

                return;
            }
            if ($alert->answeredAt >= $told) {
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
            ownerId: $this->deputies->whoAnswersFor(
                $client->clinicId,
                $client->therapistId,
                $client->zone,
            ),
        ));
        $this->entities->flush();
    }

    /** What is looked at again because it was sent again is no second word. */
    private function join(Alert $alert, \DateTimeImmutable $told): void
    {
        $known = array_map(
            static fn (AlertNote $n): int => $n->at->getTimestamp(),
            array_filter(
                $this->notes($alert),
                static fn (AlertNote $n): bool => AlertNoteKind::ToldAgain === $n->kind,
            ),
        );
        if (!\in_array($told->getTimestamp(), [$alert->receivedAt->getTimestamp(), ...$known], true)) {
            $this->note(
                $alert,
                AlertNoteKind::ToldAgain,
                '',
                null,
                at: $told,
            );
        }
    }

    /** @return array<string, array<string, int>> how many are not answered, by owner and kind */
    public function openByOwner(string $clinicId): array
    {
        $open = [];
        foreach (
            $this->entities->getConnection()->fetchAllAssociative(
                'SELECT owner_id, kind, count(*) AS open FROM alert
                    WHERE clinic_id = ? AND answered_at IS NULL GROUP BY owner_id, kind ORDER BY owner_id, kind',
                [$clinicId],
            ) as $values
        ) {
            $row = new Row($values);
            $open[$row->text('owner_id')][$row->text('kind')] = $row->int('open');
        }

        return $open;
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
}
