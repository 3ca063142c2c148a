<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Helping\Burden;

/** How those who help get on, as they told it. */
final readonly class HelperWords
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return array<string, non-empty-list<HelperWord>> newest first, by helper */
    public function of(Client $client): array
    {
        $words = [];
        foreach (
            $this->entities->getRepository(HelperWord::class)->findBy(
                $client->scope(),
                ['at' => 'DESC', 'id' => 'DESC'],
            ) as $word
        ) {
            $words[$word->helperId][] = $word;
        }

        return $words;
    }

    /** @return list<string> ids of helpers whom somebody has to talk with */
    public function toTalkWith(Client $client): array
    {
        return array_keys(
            array_filter($this->of($client), static fn (array $told): bool => (new Burden(array_map(
                static fn (HelperWord $w): array => ['managing' => $w->managing, 'hurts' => $w->hurts],
                array_values(array_filter($told, static fn (HelperWord $w): bool => null === $w->talkedAt)),
            )))->wantsTalk()),
        );
    }

    public function last(Client $client, string $helperId): ?HelperWord
    {
        return $this->entities->getRepository(HelperWord::class)->findOneBy(
            $client->scope() + ['helperId' => $helperId],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    public function has(string $id): bool
    {
        return null !== $this->entities->find(HelperWord::class, $id);
    }

    public function talked(Client $client, string $helperId, string $byId, \DateTimeImmutable $now): void
    {
        foreach ($this->of($client)[$helperId] ?? [] as $word) {
            $word->talkedAt ??= $now;
            $word->talkedById ??= $byId;
        }
        $this->entities->flush();
    }

    public function keep(HelperWord $word): void
    {
        $this->entities->persist($word);
        $this->entities->flush();
    }
}
