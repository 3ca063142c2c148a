<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Progress\SkipReason;
use HandGarden\Web\Row;

/** One sitting as a logbook shows it. */
final readonly class LoggedDay
{
    private function __construct(
        public string $id,
        public \DateTimeImmutable $day,
        public \DateTimeImmutable $startedAt,
        public bool $isFinished,
        public string $note,
        public string $actorId,
        public bool $fromPaper,
        public string $writtenBy,
        public ?int $painBefore,
        public ?int $painAfter,
        public int $items,
        public int $done,
        public int $part,
        public int $skipped,
        /** The one that was given most. */
        public ?SkipReason $reason,
        public ?int $wornMinutes,
        public bool $hasSymptom,
        public int $mended,
        public bool $inClass,
    ) {
    }

    /** @param array<string, int> $mended by sitting */
    public static function of(Row $row, array $mended): self
    {
        return new self(
            $row->text('id'),
            $row->day('day'),
            $row->instant('started_at'),
            isFinished: true === $row->bool('finished'),
            note: $row->text('note'),
            actorId: $row->text('actor_id'),
            fromPaper: true === $row->bool('from_paper'),
            writtenBy: $row->text('written_by'),
            painBefore: $row->intOrNull('pain_before'),
            painAfter: $row->intOrNull('pain_after'),
            items: $row->int('items'),
            done: $row->int('done'),
            part: $row->int('part'),
            skipped: $row->int('skipped'),
            reason: SkipReason::tryFrom($row->textOrNull('reason') ?? ''),
            wornMinutes: $row->intOrNull('worn'),
            hasSymptom: true === $row->bool('has_symptom'),
            mended: $mended[$row->text('id')] ?? 0,
            inClass: true === $row->bool('in_class'),
        );
    }

    /** Done in all, 0 to 1: a part is half. */
    public function share(): float
    {
        return ($this->done + 0.5 * $this->part) / max(
            1,
            $this->items,
        );
    }

    public function isSkipped(): bool
    {
        return $this->items > 0 && $this->skipped === $this->items;
    }
}
