<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use Symfony\Component\Uid\Uuid;

/** Something a client agreed to: who said so, how and when; and until it was taken back. */
#[ORM\Entity]
#[ORM\Table(name: 'consent')]
class Consent
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** The sentence by which it was taken back. */
    #[ORM\Column(length: 200)]
    public string $endedWords = '';

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $endedById = null;

    /** @param string $words to whom a letter may go, or what else was said */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 24, enumType: ConsentKind::class)]
        public readonly ConsentKind $kind,
        #[ORM\Column(length: 80)]
        public readonly string $givenBy,
        #[ORM\Column(length: 16, enumType: ConsentWay::class)]
        public readonly ConsentWay $way,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $givenOn,
        #[ORM\Column(length: 200)]
        public readonly string $words,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $keptById,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $keptAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function holds(): bool
    {
        return null === $this->endedAt;
    }
}
