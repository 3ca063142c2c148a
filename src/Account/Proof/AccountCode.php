<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A code that somebody was given to choose a password with; only its hash is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'account_code')]
#[ORM\UniqueConstraint(name: 'account_code_once', columns: ['hash'])]
#[ORM\Index(name: 'account_code_of', columns: ['staff_id', 'kind'])]
class AccountCode
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** Used, or taken back. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $usedAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $staffId,
        #[ORM\Column(length: 10, enumType: CodeKind::class)]
        public readonly CodeKind $kind,
        #[ORM\Column(length: 64, options: ['fixed' => true])]
        public readonly string $hash,
        /** Null: at the command line. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $madeBy,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeAt,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $endsAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
