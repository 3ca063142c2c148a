<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Placement\Injection;
use Symfony\Component\Uid\Uuid;

/** A person in therapy, with what later steps need to know. */
#[ORM\Entity]
#[ORM\Table(name: 'client')]
#[ORM\Index(name: 'client_by_clinic', columns: [
    'clinic_id',
    'family_name',
])]
class Client implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Version]
    #[ORM\Column(type: Types::INTEGER)]
    public int $version = 1;

    #[ORM\Column(length: 80)]
    public string $givenName = '';

    #[ORM\Column(length: 80)]
    public string $familyName = '';

    #[ORM\Column(nullable: true)]
    public ?int $birthYear = null;

    #[ORM\Column(length: 60)]
    public string $zone = 'UTC';

    /** @var list<string> */
    #[ORM\Column(type: Types::JSON)]
    private array $conditions = [];

    /** @var list<string> worse hand first */
    #[ORM\Column(type: Types::JSON)]
    private array $affected = [];

    /** @var list<string> hands found wholly unaffected */
    #[ORM\Column(type: Types::JSON)]
    private array $unaffected = [];

    #[ORM\Column(length: 5, enumType: Side::class)]
    public Side $writingHand = Side::Right;

    #[ORM\Column]
    public int $minutes = 20;

    #[ORM\Column]
    public int $daysPerWeek = 5;

    #[ORM\Column(length: 10, enumType: Stamina::class)]
    public Stamina $stamina = Stamina::Usual;

    #[ORM\Column(length: 40)]
    public string $phone = '';

    /** Therapist who lets steps up inside the range happen by themselves; null: each waits for a decision. */
    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $stepsAllowedById = null;

    /** @var list<string>|null null: not asked */
    #[ORM\Column(type: Types::JSON, nullable: true)]
    public ?array $materials = null;

    /** @var array<string, int> daily tasks by key, with how much each matters (1 to 3) */
    #[ORM\Column(type: Types::JSON)]
    public array $goals = [];

    #[ORM\Column(length: 200)]
    public string $goalWords = '';

    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $injectedOn = null;

    /** @var list<string> sides; none: every affected hand */
    #[ORM\Column(type: Types::JSON)]
    public array $injectedSides = [];

    /** @var list<string> muscles as exercises name them; none: the flexors of fingers, thumb and wrist */
    #[ORM\Column(type: Types::JSON)]
    public array $injectedMuscles = [];

    #[ORM\Column(length: 300)]
    public string $story = '';

    /** @var array<string, mixed> as Intake gives it */
    #[ORM\Column(type: Types::JSON)]
    private array $intake = [];

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $archivedAt = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public string $therapistId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $createdAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** @return array{clinicId: string, clientId: string} by which everything that is kept of them is found */
    public function scope(): array
    {
        return ['clinicId' => $this->clinicId, 'clientId' => $this->id];
    }

    /** Days of practice that are planned in so many. */
    public function plannedDaysIn(int $days): int
    {
        return max(1, (int) round($this->daysPerWeek * $days / 7));
    }

    public function name(): string
    {
        return $this->givenName.' '.$this->familyName;
    }

    /** @return list<Condition> */
    public function conditions(): array
    {
        return array_map(
            Condition::from(...),
            $this->conditions,
        );
    }

    /** @param list<Condition> $conditions */
    public function setConditions(array $conditions): void
    {
        $this->conditions = array_map(
            static fn (Condition $c): string => $c->value,
            $conditions,
        );
    }

    /** @return list<Side> worse hand first */
    public function affected(): array
    {
        return array_map(
            Side::from(...),
            $this->affected,
        );
    }

    /** @return list<Side> */
    public function unaffected(): array
    {
        return array_map(
            Side::from(...),
            $this->unaffected,
        );
    }

    /**
     * @param list<Side> $affected   worse hand first
     * @param list<Side> $unaffected
     */
    public function setSides(array $affected, array $unaffected): void
    {
        $this->affected = array_map(
            static fn (Side $s): string => $s->value,
            $affected,
        );
        $this->unaffected = array_map(
            static fn (Side $s): string => $s->value,
            $unaffected,
        );
    }

    public function intake(): Intake
    {
        return Intake::fromArray($this->intake);
    }

    public function setIntake(Intake $intake): void
    {
        $this->intake = $intake->toArray();
    }

    /** As midnight UTC, so that it compares with the days of the core. */
    public function injectionDay(): ?\DateTimeImmutable
    {
        return null === $this->injectedOn
            ? null
            : new \DateTimeImmutable(
                $this->injectedOn->format('Y-m-d'),
                new \DateTimeZone('UTC'),
            );
    }

    public function injection(): ?Injection
    {
        $on = $this->injectionDay();
        $sides = array_values(array_filter(array_map(
            Side::tryFrom(...),
            $this->injectedSides,
        )));
        $affected = [] === $sides ? $this->affected() : $sides;

        $muscles = [] === $this->injectedMuscles ? Injection::USUAL_GROUPS : $this->injectedMuscles;

        return null === $on || [] === $affected
            ? null
            : new Injection(
                $on,
                $affected,
                $muscles,
            );
    }

    /** Whether it matters how long ago the last dose was. */
    public function takesTimedMedicine(): bool
    {
        return \in_array(
            Condition::Parkinsons,
            $this->conditions(),
            true,
        )
            || [] !== $this->intake()->doseTimes;
    }

    public function isArchived(): bool
    {
        return null !== $this->archivedAt;
    }

    public function ofClient(): string
    {
        return $this->id;
    }
}
