<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Position;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Taken;
use HandGarden\Core\Measure\ToneGrade;
use Symfony\Component\Uid\Uuid;

/** A reading as it was taken. It is never changed: a mistyped one is replaced by another that says why. */
#[ORM\Entity]
#[ORM\Table(name: 'reading')]
#[ORM\Index(name: 'reading_by_client', columns: ['client_id', 'on_day', 'at'])]
class RecordedReading implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $replacedById = null;

    /** Taken back by the person who took it, right after; it stays on record and counts nowhere. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $withdrawnAt = null;

    /** @param list<float> $trials single values when it was taken more than once */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $visitId,
        #[ORM\Column(length: 40)]
        public readonly string $code,
        #[ORM\Column(length: 5, nullable: true, enumType: Side::class)]
        public readonly ?Side $side,
        #[ORM\Column(length: 7, nullable: true, enumType: Mode::class)]
        public readonly ?Mode $mode,
        #[ORM\Column(length: 60, nullable: true)]
        public readonly ?string $argument,
        #[ORM\Column(nullable: true)]
        public readonly ?float $number,
        #[ORM\Column(nullable: true)]
        public readonly ?bool $yes,
        #[ORM\Column(length: 10, nullable: true)]
        public readonly ?string $word,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $onDay,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(length: 200)]
        public readonly string $reason = '',
        #[ORM\Column(length: 8, enumType: Source::class)]
        public readonly Source $source = Source::Hand,
        #[ORM\Column]
        public readonly bool $byEye = false,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $trials = [],
        #[ORM\Column(length: 12, enumType: Position::class)]
        public readonly Position $position = Position::Usual,
        #[ORM\Column(length: 10, enumType: MedicationState::class)]
        public readonly MedicationState $medication = MedicationState::NotAsked,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public static function from(
        Reading $reading,
        Visit $visit,
        string $byStaffId,
        \DateTimeImmutable $at,
        string $reason = '',
    ): self {
        $value = $reading->value;

        return new self(
            $visit->clinicId,
            $visit->clientId,
            $visit->id,
            $reading->code,
            side: $reading->side,
            mode: $reading->mode,
            argument: $reading->argument,
            number: \is_float($value) ? $value : null,
            yes: \is_bool($value) ? $value : null,
            word: \is_string($value) ? $value : null,
            onDay: $reading->on,
            at: $at,
            byStaffId: $byStaffId,
            reason: $reason,
            source: $reading->taken->source ?? Source::Hand,
            byEye: $reading->byEye,
            trials: $reading->taken->trials ?? [],
            position: $reading->taken->position ?? Position::Usual,
            medication: $reading->taken->medication ?? MedicationState::NotAsked,
        );
    }

    public function toReading(): Reading
    {
        return new Reading(
            $this->code,
            $this->side,
            $this->mode,
            $this->argument,
            value: $this->number ?? $this->yes ?? $this->word,
            on: new \DateTimeImmutable($this->onDay->format('Y-m-d'), new \DateTimeZone('UTC')),
            byEye: $this->byEye,
            taken: new Taken(
                $this->byStaffId,
                $this->position,
                $this->medication,
                $this->source,
                trials: array_map(floatval(...), $this->trials),
            ),
        );
    }

    /** Part of the measuring form that it stands in. */
    public function part(): string
    {
        return match (true) {
            'tryout' === $this->code => 't',
            null !== $this->yes => 'o',
            default => 'm',
        };
    }

    /** As it would be typed again. */
    public function typedText(): string
    {
        return match (true) {
            null !== $this->yes => $this->yes ? 'yes' : 'no',
            null !== $this->word => $this->word,
            null === $this->number => 'usual',
            [] !== $this->trials => implode(' ', $this->trials),
            str_starts_with($this->code, 'tone_') => ToneGrade::fromRank($this->number)->value,
            default => (string) $this->number,
        };
    }

    public function key(): string
    {
        return 'tryout' === $this->code
            ? $this->argument.':'.($this->side->value ?? '')
            : ReadingKey::for($this->code, $this->side, $this->mode, $this->argument);
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
