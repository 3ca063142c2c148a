<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Home\Consents;
use HandGarden\Planning\InClass;
use HandGarden\Sitting\Hindrances;

/** Who sits in a class, and what stands before it for each of them. */
final readonly class Members
{
    public const NOT_AGREED = 'Has not agreed to group work.';

    public function __construct(
        private ClientRepository $clients,
        private Consents $consents,
        private Hindrances $hindrances,
        private InClass $inClass,
    ) {
    }

    /** @return list<Member> by number; who was archived has no place any more */
    public function of(HandClass $class): array
    {
        $members = [];
        foreach ($class->places() as $number => $id) {
            $client = $this->clients->find($class->clinicId, $id);
            if (null !== $client && null === $client->archivedAt) {
                $members[] = new Member(
                    $number,
                    $client,
                    $this->hindrance($client),
                    $this->inClass->needsOneBeside($client),
                );
            }
        }

        return $members;
    }

    /**
     * @param list<Member> $members
     *
     * @return list<Member> who can take part today
     */
    public static function able(array $members): array
    {
        return array_values(array_filter($members, static fn (Member $m): bool => null === $m->hindrance));
    }

    public function hindrance(Client $client): ?string
    {
        return $this->consents->holds($client, ConsentKind::GroupWork)
            ? $this->hindrances->of($client)
            : self::NOT_AGREED;
    }
}
