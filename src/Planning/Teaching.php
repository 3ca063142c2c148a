<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\Uid\Uuid;

/** A technique that was shown to a helper and done back, whether it was signed then or not. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'teaching')]
#[ORM\Index(name: 'teaching_by_client', columns: ['client_id'])]
class Teaching implements TellsOfClient
{
    public const PRACTISE_LETTERS = 300;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /**
     * @param array<string, bool>   $points   as seen, by key
     * @param array<string, string> $shown    dose as it was shown, by exercise or part of a task
     * @param string                $practise what to practise until the next visit; empty: it was signed
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $helperId,
        #[ORM\Column(length: 40)]
        public readonly string $technique,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $points,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $shown,
        #[ORM\Column(length: self::PRACTISE_LETTERS)]
        public readonly string $practise,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
