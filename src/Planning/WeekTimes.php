<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Week\BusyTimes;
use HandGarden\Web\Seen;
use Symfony\Component\Uid\Uuid;

/** When the helper is there and when the client is taken; of a calendar only that is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'week_times')]
class WeekTimes implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Version]
    #[ORM\Column(type: Types::INTEGER)]
    public int $version = 1;

    #[ORM\Column(length: 300)]
    public string $helperHours = '';

    /** Each with the whole list; more than one: many small sets through the day. */
    #[ORM\Column(type: Types::SMALLINT)]
    public int $sittingsPerDay = 1;

    /** Name of the calendar file; '' when there is none. */
    #[ORM\Column(length: 120)]
    public string $calendarName = '';

    /** Day up to which the calendar was read, itself not included. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $readTo = null;

    /** @var list<array{int, int}> see BusyTimes */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    private array $busy = [];

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID, unique: true)]
        public readonly string $clientId,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** Mark of what is kept; of nothing kept yet as well. */
    public static function mark(?self $times): string
    {
        return Seen::mark($times->version ?? 0);
    }

    public function busy(): BusyTimes
    {
        return BusyTimes::from($this->busy);
    }

    public function read(string $name, BusyTimes $busy, \DateTimeImmutable $to): void
    {
        $this->calendarName = $name;
        $this->busy = $busy->spans;
        $this->readTo = $to;
    }

    public function forget(): void
    {
        $this->calendarName = '';
        $this->busy = [];
        $this->readTo = null;
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
