<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/** Clients who practise together: who sits where, what is led, and how many of the staff are there. */
#[ORM\Entity]
#[ORM\Table(name: 'hand_class')]
class HandClass
{
    public const NAME_LETTERS = 60;
    public const MOST_PLACES = 12;
    public const MOST_EXERCISES = 20;
    public const MOST_STAFF = 6;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column]
    public int $staff = 1;

    /** @var list<string> exercises in the order in which they are led */
    #[ORM\Column(type: Types::JSON)]
    public array $rungs = [];

    /** @var array<int, string> client by number of the place, from 1 */
    #[ORM\Column(type: Types::JSON)]
    private array $places = [];

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: self::NAME_LETTERS)]
        public string $name,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $ownerId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** @return array<int, string> client by number of the place, in order */
    public function places(): array
    {
        ksort($this->places);

        return $this->places;
    }

    public function isFull(): bool
    {
        return \count($this->places) >= self::MOST_PLACES;
    }

    public function has(string $clientId): bool
    {
        return \in_array($clientId, $this->places, true);
    }

    /** On the first place that is free: whoever sits somewhere keeps their number. */
    public function takeIn(Client $client): void
    {
        if ($this->has($client->id)) {
            return;
        }
        $number = 1;
        while (isset($this->places[$number])) {
            ++$number;
        }
        $this->places[$number] = $client->id;
    }

    public function letGo(string $clientId): void
    {
        $this->places = array_filter($this->places, static fn (string $id): bool => $id !== $clientId);
    }
}
