<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Progress\SkipReason;
use HandGarden\Web\Row;

/** One day of practice in a few figures. The worst that was told of it counts. */
final readonly class DayFigures
{
    /**
     * @param float       $done   items, a part counts as half
     * @param int         $items  that something was told of
     * @param ?SkipReason $reason that was given most
     */
    private function __construct(
        public \DateTimeImmutable $day,
        public float $done,
        public int $items,
        public ?int $painBefore,
        public ?int $painAfter,
        public ?int $fatigue,
        public bool $hasSymptom,
        public ?SkipReason $reason,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->day('day'),
            $row->float('done') ?? 0.0,
            $row->int('items'),
            painBefore: $row->intOrNull('pain_before'),
            painAfter: $row->intOrNull('pain_after'),
            fatigue: $row->intOrNull('fatigue'),
            hasSymptom: true === $row->bool('has_symptom'),
            reason: SkipReason::tryFrom($row->textOrNull('reason') ?? ''),
        );
    }

    /**
     * @param list<self> $days oldest first
     *
     * @return list<int> of those on which it was told
     */
    public static function painsAfter(array $days): array
    {
        return array_values(array_filter(
            array_map(static fn (self $d): ?int => $d->painAfter, $days),
            static fn (?int $pain): bool => null !== $pain,
        ));
    }

    public function isPractice(): bool
    {
        return $this->done > 0.0;
    }

    /** Of what something was told of, 0 to 1. */
    public function share(): float
    {
        return $this->done / max(1, $this->items);
    }
}
