<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;

/** How the task goes and how content the client is, as told at home when a block was over. Said once. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'home_block_word')]
class BlockWord implements TellsOfClient
{
    public const MOST = 10;

    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $blockId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $ease,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $content,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
