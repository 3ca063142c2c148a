<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\SittingLog;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/** Sittings and their log. */
final class SittingRepository implements ResetInterface
{
    /** @var array<string, SittingLog> one query a request */
    private array $logs = [];

    public function __construct(private readonly EntityManagerInterface $entities, private readonly CatalogueStore $catalogue)
    {
    }

    public function find(string $clinicId, string $id): ?Sitting
    {
        return Uuid::isValid($id) ? $this->entities->getRepository(Sitting::class)->findOneBy(['id' => $id, 'clinicId' => $clinicId]) : null;
    }

    /** @return list<Sitting> newest first */
    public function of(Client $client, int $most): array
    {
        return $this->entities->getRepository(Sitting::class)->findBy(['clientId' => $client->id, 'clinicId' => $client->clinicId], ['startedAt' => 'DESC', 'id' => 'DESC'], $most);
    }

    /** The whole log in the order it was received. */
    public function log(Client $client): SittingLog
    {
        return $this->logs([$client])[$client->id];
    }

    /**
     * @param list<Client> $clients of one clinic
     *
     * @return array<string, SittingLog> by client id
     */
    public function logs(array $clients): array
    {
        $ids = array_values(array_filter(array_map(static fn (Client $c): string => $c->id, $clients), fn (string $id): bool => !isset($this->logs[$id])));
        if ([] !== $ids) {
            $lines = array_fill_keys($ids, []);
            foreach ($this->entities->getRepository(LogEntry::class)->findBy(['clientId' => $ids, 'clinicId' => $clients[0]->clinicId], ['receivedAt' => 'ASC', 'id' => 'ASC']) as $entry) {
                if ($this->catalogue->get()->hasRung($entry->rungId)) {
                    $lines[$entry->clientId][] = $entry->toLine($this->catalogue->get()->rung($entry->rungId)->startDose);
                }
            }
            $this->logs = [...$this->logs, ...array_map(static fn (array $of): SittingLog => new SittingLog($of), $lines)];
        }

        return $this->logs;
    }

    /** @return list<LogEntry> in the order of the items */
    public function entries(Sitting $sitting): array
    {
        return $this->entities->getRepository(LogEntry::class)->findBy(['sittingId' => $sitting->id, 'clinicId' => $sitting->clinicId], ['item' => 'ASC', 'receivedAt' => 'ASC']);
    }

    /** @return list<LogEntry> of the last sitting in which anything was logged */
    public function lastLogged(Client $client): array
    {
        $last = $this->entities->getRepository(LogEntry::class)->findOneBy(['clientId' => $client->id, 'clinicId' => $client->clinicId], ['receivedAt' => 'DESC', 'id' => 'DESC']);

        return null === $last ? [] : $this->entities->getRepository(LogEntry::class)->findBy(['sittingId' => $last->sittingId, 'clinicId' => $client->clinicId], ['item' => 'ASC']);
    }

    public function entry(string $id): ?LogEntry
    {
        return $this->entities->find(LogEntry::class, $id);
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
        $this->logs = [];
    }

    public function reset(): void
    {
        $this->logs = [];
    }
}
