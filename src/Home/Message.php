<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Home\MessageAbout;

/** A few words from home, and the answer to them. Under the id that the device gave it. */
#[ORM\Entity]
#[ORM\Table(name: 'home_message')]
class Message implements TellsOfClient
{
    public const LETTERS = 500;

    #[ORM\Column(length: 500)]
    public string $answer = '';

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $answeredById = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $answeredAt = null;

    /** Somebody at home said that they have read the answer. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $readAt = null;

    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $deviceId,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $person,
        #[ORM\Column(length: 10, enumType: MessageAbout::class)]
        public readonly MessageAbout $about,
        #[ORM\Column(length: 500)]
        public readonly string $text,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
    ) {
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
