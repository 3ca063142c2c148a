<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Account\Staff;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Sitting\AlertAct;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

/** Something that happened and that stays on the list of the day until it is answered with a note. */
#[ORM\Entity]
#[ORM\Table(name: 'alert')]
#[ORM\Index(name: 'alert_by_client', columns: [
    'client_id',
    'answered_at',
])]
class Alert implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $answeredAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $answeredById = null;

    /** What was found and done. */
    #[ORM\Column(length: 300)]
    public string $note = '';

    /** A therapist opened it first; that is no answer. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $seenAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $seenById = null;

    #[ORM\Column(length: 12, nullable: true, enumType: AlertAct::class)]
    public ?AlertAct $act = null;

    /** @var list<string> codes of AlertNext */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $next = [];

    /** The day on which it is looked at again. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $lookOn = null;

    /** Somebody has looked then, or nothing was left to look at. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $lookedAt = null;

    /** What the client was told as the answer. */
    #[ORM\Column(length: 700)]
    public string $words = '';

    /**
     * @param string                      $itemKey empty: it is of no one item
     * @param array<string, mixed>|string $why     see PhraseFormat
     * @param \DateTimeImmutable          $begunAt when it happened
     * @param string                      $ownerId staff who is to answer
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 12, enumType: AlertKind::class)]
        public readonly AlertKind $kind,
        #[ORM\Column(length: 80)]
        public readonly string $itemKey,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        private readonly array|string $why,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $begunAt,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
        #[ORM\Column(type: Types::GUID)]
        public string $ownerId,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function why(): Phrase
    {
        return PhraseFormat::read(
            Node::root($this->why),
        );
    }

    public function seenBy(Staff $staff, \DateTimeImmutable $at): void
    {
        $this->seenAt ??= $at;
        $this->seenById ??= $staff->id;
    }

    public function isOpen(): bool
    {
        return null === $this->answeredAt;
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
