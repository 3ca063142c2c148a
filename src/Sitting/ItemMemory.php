<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What is kept of an item beyond the weeks of log that a page reads; written by `ItemMemories` alone. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'item_memory')]
class ItemMemory
{
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Id]
        #[ORM\Column(length: 100)]
        public readonly string $itemKey,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $firstDay,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $lastDay,
    ) {
    }
}
