<?php

declare(strict_types=1);

namespace HandGarden\Following;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Week\BlockVerdict;
use Symfony\Component\Uid\Uuid;

/** How a block was looked back on, and how it goes on. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'block_review')]
#[ORM\Index(name: 'block_review_by_client', columns: [
    'client_id',
    'at',
])]
class BlockReview implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /**
     * @param ?int $ease    'How well does it go?', 0 to 10; null: not asked
     * @param ?int $content 'How content are you?', 0 to 10; null: not asked
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $blockId,
        #[ORM\Column(length: 10, enumType: BlockVerdict::class)]
        public readonly BlockVerdict $proposed,
        #[ORM\Column(length: 10, enumType: BlockVerdict::class)]
        public readonly BlockVerdict $decided,
        #[ORM\Column(nullable: true)]
        public readonly ?int $ease,
        #[ORM\Column(nullable: true)]
        public readonly ?int $content,
        #[ORM\Column(length: 500)]
        public readonly string $note,
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
