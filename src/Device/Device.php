<?php

declare(strict_types=1);

namespace HandGarden\Device;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\DeviceKind;
use Symfony\Component\Uid\Uuid;

/** A measuring device of a clinic. It signs in with a token, of which only the hash is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'device')]
#[ORM\Index(name: 'device_by_clinic', columns: ['clinic_id'])]
class Device
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(length: 64, unique: true)]
    public string $tokenHash = '';

    #[ORM\Column(length: 20)]
    public string $profile = '';

    /** Somebody pressed start on the bench page. */
    #[ORM\Column]
    public bool $wanted = false;

    /** The token itself, of simulated devices only: the bench starts them with it. */
    #[ORM\Column(type: Types::TEXT, nullable: true)]
    public ?string $secret = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $retiredAt = null;

    private function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 60)]
        public readonly string $name,
        #[ORM\Column(length: 10, enumType: DeviceKind::class)]
        public readonly DeviceKind $kind,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $createdAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** @return array{self, string} the device and its token, which is shown once */
    public static function register(
        string $clinicId,
        string $name,
        DeviceKind $kind,
        Side $side,
        bool $simulated,
        \DateTimeImmutable $now,
    ): array {
        $token = bin2hex(random_bytes(24));
        $device = new self($clinicId, $name, $kind, $side, createdAt: $now);
        $device->tokenHash = self::hash($token);
        $device->secret = $simulated ? $token : null;
        $device->profile = $simulated ? 'good' : '';

        return [$device, $token];
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    public function isSimulated(): bool
    {
        return null !== $this->secret;
    }
}
