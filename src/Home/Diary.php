<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Diary\Factor;
use Symfony\Component\Uid\Uuid;

/** A diary that a client was asked to keep, and what it asks. It runs for four weeks, then pauses by itself. */
#[ORM\Entity]
#[ORM\Table(name: 'diary')]
class Diary
{
    public const WEEKS = 4;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Version]
    #[ORM\Column(type: Types::INTEGER)]
    public int $version = 1;

    /** @var list<string> codes of Factor beside the usual ones */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $optional = [];

    /** @var array<string, string> what a therapist asked once, by code: yes or no; missing: not asked */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $asked = [];

    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $pausedOn = null;

    /**
     * @param string $firstAt  by the client's clock, as 08:00
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 5)]
        public string $firstAt,
        #[ORM\Column(length: 5)]
        public string $secondAt,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public \DateTimeImmutable $beganOn,
        #[ORM\Column(type: Types::GUID)]
        public string $byId,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function runsOn(\DateTimeImmutable $day): bool
    {
        return $day < $this->lastDay() && (null === $this->pausedOn || $day < $this->pausedOn);
    }

    /** The first day on which it no longer asks. */
    public function lastDay(): \DateTimeImmutable
    {
        return $this->beganOn->modify('+'.(7 * self::WEEKS).' days');
    }

    /** @return list<Factor> */
    public function factors(): array
    {
        return [...Factor::usual(), ...array_values(
            array_filter(array_map(Factor::tryFrom(...), $this->optional)),
        )];
    }
}
