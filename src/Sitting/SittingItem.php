<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Sitting\FoldedItem;
use HandGarden\Planning\RoutineFormat;
use Symfony\Component\Uid\Uuid;

/** One item of a sitting: what was planned when it began, and what its events say together. */
#[ORM\Entity]
#[ORM\Table(name: 'sitting_item')]
#[ORM\Index(name: 'sitting_item_of', columns: [
    'sitting_id',
    'place',
])]
#[ORM\Index(name: 'sitting_item_by_client', columns: [
    'client_id',
    'day',
])]
#[ORM\Index(name: 'sitting_item_by_item', columns: [
    'client_id',
    'rung_id',
    'hands',
    'day',
])]
class SittingItem implements TellsOfClient
{
    /** @var array<string, mixed>|null null: nothing was told of it yet; see Content\Format\LogFormat */
    #[ORM\Column(type: Types::JSON, nullable: true, options: ['jsonb' => true])]
    public ?array $told = null;

    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $day = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $at = null;

    /**
     * @param int                  $place   in the sitting, from 0
     * @param array<string, mixed> $planned see Planning\RoutineFormat
     */
    private function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $sittingId,
        #[ORM\Column]
        public readonly int $place,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $planned,
        #[ORM\Column(length: 80)]
        public readonly string $rungId,
        #[ORM\Column(length: 10, enumType: Hands::class)]
        public readonly Hands $hands,
    ) {
    }

    /** @param ?string $id that it has already; null: a new one */
    public static function from(Sitting $sitting, int $place, Item $item, ?string $id = null): self
    {
        return new self(
            $id ?? Uuid::v7()->toRfc4122(),
            $sitting->clinicId,
            $sitting->clientId,
            $sitting->id,
            place: $place,
            planned: RoutineFormat::planned($item),
            rungId: $item->rung->id,
            hands: $item->hands,
        );
    }

    /** What log and prescriptions know it by. */
    public function key(): ItemKey
    {
        return new ItemKey($this->rungId, $this->hands);
    }

    public function keep(?FoldedItem $folded): void
    {
        $this->told = null === $folded ? null : LogFormat::write($folded->told);
        $this->day = $folded?->day;
        $this->at = $folded?->at;
    }

    /** Whether the same is told of it, at the same time. */
    public function saysAs(self $other): bool
    {
        return $this->foldedRow() === $other->foldedRow();
    }

    /** Whether it counts for the same day, as done or as not done. */
    public function countsAs(self $other): bool
    {
        return $this->day?->format('Y-m-d') === $other->day?->format('Y-m-d')
            && ($this->told['outcome'] ?? null) === ($other->told['outcome'] ?? null);
    }

    /** @return array<string, mixed> what its events say, by column */
    public function foldedRow(): array
    {
        $told = $this->told;
        if (null !== $told) {
            ksort($told);
        }

        return [
            'id' => $this->id,
            'told' => $told,
            'day' => $this->day?->format('Y-m-d'),
            'at' => $this->at?->format(\DATE_ATOM),
        ];
    }

    public function said(): ?Told
    {
        return null === $this->told ? null : LogFormat::kept($this->told);
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
