<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Home\DeviceSecret;
use HandGarden\Home\TakenOutWhy;
use Symfony\Component\Uid\Uuid;

/**
 * A tablet of a care home. Somebody who works there signs in, opens the plan of one resident at a time, and comes back
 * to the list; untouched, it asks anew who it is.
 */
#[ORM\Entity]
#[ORM\Table(name: 'shared_tablet')]
class SharedTablet
{
    /** Untouched so long between sittings, it wants to know anew who it is. */
    public const MINUTES = 10;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Embedded(class: DeviceSecret::class, columnPrefix: false)]
    public readonly DeviceSecret $secret;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $lastSeenAt = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $takenOutAt = null;

    #[ORM\Column(length: 20, nullable: true, enumType: TakenOutWhy::class)]
    public ?TakenOutWhy $takenOutWhy = null;

    /** The plan that is open on it. */
    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $openDeviceId = null;

    /** Who is signed in. */
    #[ORM\Column(type: Types::GUID, nullable: true)]
    private ?string $workerId = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $workerUntil = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $careHomeId,
        #[ORM\Column(length: 60)]
        public readonly string $label,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $madeById,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->secret = new DeviceSecret($madeAt);
    }

    public function isIn(): bool
    {
        return null === $this->takenOutAt;
    }

    public function signIn(string $workerId, \DateTimeImmutable $now): void
    {
        $this->workerId = $workerId;
        $this->stays($now);
    }

    /** It was touched; while a plan is open on it a sitting may take longer. */
    public function stays(\DateTimeImmutable $now): void
    {
        $this->workerUntil = $now->modify('+'.self::MINUTES.' minutes');
    }

    public function signOut(): void
    {
        $this->workerId = null;
        $this->workerUntil = null;
    }

    /** Who is signed in now; while a plan is open, whoever opened it. */
    public function worker(\DateTimeImmutable $now): ?string
    {
        return null !== $this->openDeviceId || $now <= $this->workerUntil ? $this->workerId : null;
    }
}
