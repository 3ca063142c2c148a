<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\Uid\Uuid;

/** When the helper is there, and the client's calendar as it came, so that any week can be read from it. */
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

    #[ORM\Column(type: Types::TEXT)]
    public string $calendar = '';

    #[ORM\Column(length: 120)]
    public string $calendarName = '';

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID, unique: true)]
        public readonly string $clientId,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
