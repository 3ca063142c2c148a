<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Wearing\WearStep;
use HandGarden\Core\Wearing\Worn;
use Symfony\Component\Uid\Uuid;

/** Something that is worn on one hand for so long at a time. Another time is another plan: the one before ends. */
#[ORM\Entity]
#[ORM\Table(name: 'wear_plan')]
#[ORM\Index(name: 'wear_plan_by_client', columns: ['client_id'])]
class WearPlan implements TellsOfClient
{
    public const WHEN_LETTERS = 80;
    /** Months after which somebody looks at its fit anew. */
    public const FIT_MONTHS = 6;

    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** Null: the program made it shorter after a look. */
    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $endedById = null;

    /**
     * @param int     $step      index into the steps of what is worn
     * @param string  $when      as the client is told: after what, at what time
     * @param ?string $morningId helper who takes it off and looks in the morning; null: the client
     * @param ?string $byStaffId null: the program made it shorter after a look
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 8, enumType: Worn::class)]
        public readonly Worn $worn,
        /** The exercise in which it is put on. */
        #[ORM\Column(length: 60)]
        public readonly string $rungId,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $step,
        #[ORM\Column(name: 'worn_when', length: self::WHEN_LETTERS)]
        public readonly string $when,
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $morningId,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $beganOn,
        /** When somebody last looked at its fit. */
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public \DateTimeImmutable $fitOn,
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** The same for another time. */
    public function at(int $step, ?string $byStaffId, \DateTimeImmutable $day, \DateTimeImmutable $now): self
    {
        return new self(
            $this->clinicId,
            $this->clientId,
            $this->worn,
            $this->rungId,
            side: $this->side,
            step: $step,
            when: $this->when,
            morningId: $this->morningId,
            beganOn: $day,
            fitOn: $this->fitOn,
            byStaffId: $byStaffId,
            at: $now,
        );
    }

    public function wears(): WearStep
    {
        $steps = $this->worn->steps();

        return $steps[$this->step] ?? $steps[0];
    }

    /** The exercise in which it is put on: what rests there is not worn either. */
    public function itemKey(): string
    {
        return (new ItemKey($this->rungId, Hands::fromSide($this->side)))->text();
    }

    public function end(?string $byStaffId, \DateTimeImmutable $now): void
    {
        $this->endedAt = $now;
        $this->endedById = $byStaffId;
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
