<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Client;
use HandGarden\Core\Home\KeyPictures;
use Symfony\Component\Uid\Uuid;

/** A home in which several clients live: its tablets open the plan of each of them, for whoever works there. */
#[ORM\Entity]
#[ORM\Table(name: 'care_home')]
class CareHome
{
    public const NAME_LETTERS = 80;
    /** At most so many tablets. */
    public const MOST_TABLETS = 3;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @var array<string, string> picture of each resident, by client id */
    #[ORM\Column(type: Types::JSON)]
    private array $residents = [];

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: self::NAME_LETTERS)]
        public string $name,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** A list that fits on one screen, each with a picture of their own that stays theirs. */
    public function isFull(): bool
    {
        return \count($this->residents) >= \count(KeyPictures::NAMES);
    }

    public function takeIn(Client $client): void
    {
        $free = array_values(array_diff(KeyPictures::NAMES, $this->residents));
        if ([] !== $free) {
            $this->residents[$client->id] ??= $free[0];
        }
    }

    public function letGo(string $clientId): void
    {
        unset($this->residents[$clientId]);
    }

    public function hasResident(string $clientId): bool
    {
        return isset($this->residents[$clientId]);
    }

    /** @return array<string, string> picture by client id */
    public function residents(): array
    {
        return $this->residents;
    }
}
