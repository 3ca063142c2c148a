<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;
use Symfony\Component\Uid\Uuid;

/** A telephone or tablet that opens the plan of one client for one person. Of its secret only a hash is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'home_device')]
class HomeDevice
{
    /** At most so many of one person. */
    public const MOST = 3;
    /** Days without use after which it sleeps until a visit. */
    public const ASLEEP_DAYS = 180;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Embedded(class: DeviceSecret::class, columnPrefix: false)]
    public readonly DeviceSecret $secret;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $lastSeenAt = null;

    /** Acts that it said it still had to send. */
    #[ORM\Column]
    public int $unsent = 0;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $takenOutAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $takenOutById = null;

    #[ORM\Column(length: 20, nullable: true, enumType: TakenOutWhy::class)]
    public ?TakenOutWhy $takenOutWhy = null;

    /** Out of the person's hands since then: what comes from later is kept aside. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $lostSince = null;

    /** It said that its store is erased. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $emptiedAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        /** Whose it is; null: the client's own. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $helperId,
        #[ORM\Column(length: 60)]
        public readonly string $label,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $madeById,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeAt,
        /** The tablet of a care home on which it is opened; null: a device of its own. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $tabletId = null,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->secret = new DeviceSecret($madeAt);
    }

    public function person(): ActorKind
    {
        return null === $this->helperId ? ActorKind::Client : ActorKind::Helper;
    }

    /** In whose name it acts. */
    public function actor(): Actor
    {
        return new Actor($this->person(), $this->helperId ?? $this->clientId);
    }

    public function isIn(): bool
    {
        return null === $this->takenOutAt;
    }

    public function isAsleep(\DateTimeImmutable $now): bool
    {
        return ($this->lastSeenAt ?? $this->madeAt) < $now->modify('-'.self::ASLEEP_DAYS.' days');
    }

    public function takeOut(TakenOutWhy $why, string $byId, \DateTimeImmutable $now): void
    {
        $this->takenOutAt = $now;
        $this->takenOutById = $byId;
        $this->takenOutWhy = $why;
    }
}
