<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use Symfony\Component\Uid\Uuid;

/** A reading as it was taken. It is never changed: a mistyped one is replaced by another that says why. */
#[ORM\Entity]
#[ORM\Table(name: 'reading')]
#[ORM\Index(name: 'reading_by_client', columns: ['client_id', 'on_day', 'at'])]
class RecordedReading
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::GUID, nullable: true)]
    public ?string $replacedById = null;

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
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public static function of(Reading $reading, Visit $visit, string $byStaffId, \DateTimeImmutable $at, string $reason = ''): self
    {
        $value = $reading->value;

        return new self(
            $visit->clinicId,
            $visit->clientId,
            $visit->id,
            $reading->code,
            $reading->side,
            $reading->mode,
            $reading->argument,
            \is_float($value) ? $value : null,
            \is_bool($value) ? $value : null,
            \is_string($value) ? $value : null,
            $reading->on,
            $at,
            $byStaffId,
            $reason,
        );
    }

    public function toReading(): Reading
    {
        return new Reading($this->code, $this->side, $this->mode, $this->argument, $this->number ?? $this->yes ?? $this->word, new \DateTimeImmutable($this->onDay->format('Y-m-d'), new \DateTimeZone('UTC')));
    }

    public function key(): string
    {
        return ReadingKey::of($this->code, $this->side, $this->mode, $this->argument);
    }
}
