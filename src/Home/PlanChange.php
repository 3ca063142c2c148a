<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

/** What is different from the plan handed out before, said once before the next sitting. */
#[ORM\Entity]
#[ORM\Table(name: 'home_change')]
class PlanChange
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $seenAt = null;

    /**
     * @param string                           $item   words of the exercise
     * @param string                           $before words of the dose; empty: it is new
     * @param string                           $now    empty: it was taken out
     * @param array<string, mixed>|string|null $why    see PhraseFormat; null: nobody gave a reason
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 10, enumType: PlanChangeKind::class)]
        public readonly PlanChangeKind $kind,
        #[ORM\Column(length: 160)]
        public readonly string $item,
        #[ORM\Column(length: 200)]
        public readonly string $before,
        #[ORM\Column(length: 200)]
        public readonly string $now,
        #[ORM\Column(type: Types::JSON, nullable: true, options: ['jsonb' => true])]
        private readonly array|string|null $why,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function why(): ?Phrase
    {
        return null === $this->why ? null : PhraseFormat::read(Node::root($this->why));
    }
}
