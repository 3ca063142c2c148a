<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** Every record belongs to a clinic, and every question asked of the database names it. */
#[ORM\Entity]
#[ORM\Table(name: 'clinic')]
class Clinic
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @var list<string> keys of hand shapes that are not shown here */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $shapesOff = [];

    /** @var array<string, float> figures that are not at their default, by key: see Core\Setting */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $settings = [];

    /** By which its days go. */
    #[ORM\Column(length: 60)]
    public string $zone = 'UTC';

    /** Answered in the hours of the clinic. */
    #[ORM\Column(length: 40)]
    public string $phone = '';

    #[ORM\Column(length: 40)]
    public string $outOfHoursPhone = '';

    /** @var array<int, array{string, string}> see OpeningHours */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $hours = [];

    /** @var list<string> days on which it is closed, as 2026-12-24 */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $holidays = [];

    /** What stands at the end of every paper that a client takes home. */
    #[ORM\Column(length: 400)]
    public string $paperText = '';

    #[ORM\Column]
    public bool $wantsSecondFactorOfLeads = false;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 40)]
        public string $emergencyNumber,
        /** What else is said of it, where there is something. */
        #[ORM\Column(length: 200)]
        public string $whomToCall,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function openingHours(): OpeningHours
    {
        return new OpeningHours($this->hours, $this->holidays, $this->zone);
    }
}
