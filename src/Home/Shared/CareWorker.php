<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** Somebody who works in a care home, known on its tablets by initials and digits. For each resident they help they
 * are a helper of that client: what they may do by hand is signed there. */
#[ORM\Entity]
#[ORM\Table(name: 'care_worker')]
class CareWorker
{
    public const INITIALS = '/^\p{L}{2,4}$/u';
    public const DIGITS = '/^\d{4,6}$/D';

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $leftAt = null;

    #[ORM\Column(length: 255)]
    private string $digitsHash;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $careHomeId,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(length: 4)]
        public readonly string $initials,
        #[\SensitiveParameter]
        string $digits,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->setDigits($digits);
    }

    public function setDigits(#[\SensitiveParameter] string $digits): void
    {
        $this->digitsHash = password_hash($digits, \PASSWORD_DEFAULT);
    }

    public function isKnownBy(#[\SensitiveParameter] string $digits): bool
    {
        return null === $this->leftAt && password_verify($digits, $this->digitsHash);
    }
}
