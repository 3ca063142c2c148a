<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Home\KeyPictures;
use HandGarden\Core\Home\LetInCode;
use Symfony\Component\Uid\Uuid;

/**
 * A device that is being let in: a code that opens once, the key of whoever typed it, three pictures that have to be
 * the same on both screens, and a therapist who says that they are.
 */
#[ORM\Entity]
#[ORM\Table(name: 'home_pairing')]
class Pairing
{
    public const LABEL_LETTERS = 60;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** SHA-256 of the key that the device made; nobody else knows the key. */
    #[ORM\Column(length: 64, nullable: true)]
    public ?string $keyHash = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $claimedAt = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $confirmedAt = null;

    /** It came to something, or was given up. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $deviceId = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        /** Null: it is to be a tablet of a care home. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $clientId,
        /** Whose device it is to be; null: the client's own. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $helperId,
        #[ORM\Column(length: self::LABEL_LETTERS)]
        public readonly string $label,
        #[ORM\Column(length: 64)]
        public readonly string $codeHash,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $madeById,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeAt,
        /** Whose residents it is to open. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $careHomeId = null,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public static function hash(LetInCode $code): string
    {
        return hash('sha256', 'let in|'.$code->signs);
    }

    public function goesUntil(): \DateTimeImmutable
    {
        return $this->madeAt->modify('+'.LetInCode::MINUTES.' minutes');
    }

    public function isOpen(\DateTimeImmutable $now): bool
    {
        return null === $this->endedAt && $now < $this->goesUntil();
    }

    /** @return list<string> the same on both screens; none: nobody typed the code yet */
    public function pictures(): array
    {
        return null === $this->keyHash ? [] : KeyPictures::of($this->keyHash);
    }
}
