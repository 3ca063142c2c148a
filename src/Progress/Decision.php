<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Client;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

/** What a therapist answered to a proposal. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'decision')]
#[ORM\UniqueConstraint(name: 'decision_once', columns: [
    'client_id',
    'proposal_key',
])]
class Decision implements TellsOfClient
{
    /** Days for which an answered card does not come back. */
    public const QUIET_DAYS = 14;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @param array<string, mixed>|string $why what was proposed, see PhraseFormat */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 200)]
        public readonly string $proposalKey,
        #[ORM\Column(length: 40)]
        public readonly string $kind,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        private readonly array|string $why,
        #[ORM\Column(length: 10, enumType: DecisionAnswer::class)]
        public readonly DecisionAnswer $answer,
        #[ORM\Column(length: 300)]
        public readonly string $note,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $actorKind,
        #[ORM\Column(length: 36)]
        public readonly string $actorId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** The answer to a proposal. */
    public static function on(
        Client $client,
        Proposal $proposal,
        DecisionAnswer $answer,
        string $note,
        Actor $by,
        \DateTimeImmutable $at,
    ): self {
        return new self(
            $client->clinicId,
            $client->id,
            $proposal->key(),
            $proposal->kind->value,
            why: PhraseFormat::write($proposal->why),
            answer: $answer,
            note: $note,
            actorKind: $by->kind,
            actorId: $by->id,
            at: $at,
        );
    }

    public function why(): Phrase
    {
        return PhraseFormat::read(
            Node::root($this->why),
        );
    }

    /** The exercise it was about; empty: the whole. */
    public function rungId(): string
    {
        return $this->keyPart(1);
    }

    /** The exercise with its hand, as log and prescriptions know it. */
    public function itemKey(): string
    {
        return $this->rungId().'|'.$this->keyPart(2);
    }

    public function isOfASymptom(): bool
    {
        return Proposal::isRuleOfASymptom($this->keyPart(0));
    }

    private function keyPart(int $nth): string
    {
        return explode('|', $this->proposalKey)[$nth] ?? '';
    }

    public function quietUntil(): \DateTimeImmutable
    {
        return $this->at->modify('+'.self::QUIET_DAYS.' days');
    }

    /** It was a card, and does not come back yet. */
    public function isQuietOn(\DateTimeImmutable $now): bool
    {
        return true === ProposalKind::tryFrom($this->kind)?->isACard() && $now < $this->quietUntil();
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
