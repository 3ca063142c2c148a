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

    /** @var array<string, int> what the aims of a routine are worth here; those that are missing keep their default */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $routineWeights = [];

    /** Minutes of a sitting with a therapist. */
    #[ORM\Column]
    public int $sittingMinutes = 45;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 40)]
        public string $emergencyNumber,
        #[ORM\Column(length: 200)]
        public string $whomToCall,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
