<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Diary\Entry;

/** Diaries of clients, their entries and what is tried. */
final readonly class Diaries
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function of(Client $client): ?Diary
    {
        return $this->entities->getRepository(Diary::class)->findOneBy($client->scope());
    }

    /** @return list<DiaryEntry> oldest first */
    public function entries(Client $client): array
    {
        return $this->entities->getRepository(DiaryEntry::class)->findBy(
            $client->scope(),
            ['day' => 'ASC', 'at' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return list<DiaryEntry> of one day, oldest first */
    public function entriesOn(Client $client, \DateTimeImmutable $day): array
    {
        return $this->entities->getRepository(DiaryEntry::class)->findBy(
            $client->scope() + ['day' => $day],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function hasEntry(Client $client, string $id): bool
    {
        return null !== $this->entities->getRepository(DiaryEntry::class)->findOneBy(
            $client->scope() + ['id' => $id],
        );
    }

    /** @return list<DiaryTrial> oldest first */
    public function trials(Client $client): array
    {
        return $this->entities->getRepository(DiaryTrial::class)->findBy(
            $client->scope(),
            ['beganOn' => 'ASC', 'id' => 'ASC'],
        );
    }

    /**
     * @param list<DiaryEntry> $entries
     *
     * @return list<Entry>
     */
    public static function compared(array $entries): array
    {
        return array_map(static fn (DiaryEntry $e): Entry => $e->compared(), $entries);
    }

    /**
     * Entries written because it was bad just then: they are counted, never compared.
     *
     * @param list<DiaryEntry> $entries
     */
    public function nowEntriesADay(array $entries): float
    {
        $days = array_unique(
            array_map(static fn (DiaryEntry $e): string => $e->day->format('Y-m-d'), $entries),
        );
        $now = array_filter($entries, static fn (DiaryEntry $e): bool => !$e->moment->isFixed());

        return [] === $days ? 0.0 : \count($now) / \count($days);
    }

    public function keep(object ...$records): void
    {
        array_map($this->entities->persist(...), $records);
        $this->entities->flush();
    }
}
