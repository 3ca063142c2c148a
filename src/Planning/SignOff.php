<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Helper;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Helping\SignEnd;
use HandGarden\Core\Placement\RungOnSide;
use Symfony\Component\Uid\Uuid;

/** A helper who was shown an exercise, was seen doing it, and may do it with one hand of this client until a day. */
#[ORM\Entity]
#[ORM\Table(name: 'sign_off')]
#[ORM\Index(name: 'signed_by_client', columns: ['client_id'])]
class SignOff implements TellsOfClient
{
    /** Days for which a sign-off holds. */
    public const DAYS = 90;
    /** Days before its end from which it stands with what is due. */
    public const SOON_DAYS = 21;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    #[ORM\Column(length: 20, nullable: true, enumType: SignEnd::class)]
    public ?SignEnd $why = null;

    /** @param \DateTimeImmutable $until the last day */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $helperId,
        #[ORM\Column(length: 60)]
        public readonly string $rungId,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $until,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** @param \DateTimeImmutable $today in the client's zone */
    public static function after(Teaching $teaching, RungOnSide $for, \DateTimeImmutable $today): self
    {
        return new self(
            $teaching->clinicId,
            $teaching->clientId,
            $teaching->helperId,
            $for->rungId,
            side: $for->side,
            until: $today->modify('+'.self::DAYS.' days'),
            byStaffId: $teaching->byStaffId,
            at: $teaching->at,
        );
    }

    /**
     * @param list<self>            $signed
     * @param array<string, Helper> $by     by id
     *
     * @return list<string> `rung|side` that one of them may do
     */
    public static function keysOf(array $signed, array $by): array
    {
        return array_values(array_unique(array_map(
            static fn (self $s): string => $s->key(),
            array_filter($signed, static fn (self $s): bool => isset($by[$s->helperId])),
        )));
    }

    public function key(): string
    {
        return (new RungOnSide($this->rungId, $this->side))->text();
    }

    public function end(SignEnd $why, \DateTimeImmutable $now): void
    {
        $this->endedAt ??= $now;
        $this->why ??= $why;
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
