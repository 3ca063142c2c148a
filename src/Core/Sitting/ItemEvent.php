<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Noticed;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\Unlike;

/** One event of one item, with what decides its place among the others. */
final readonly class ItemEvent
{
    /**
     * @param \DateTimeImmutable     $at      when it was done, by a clock that was found right
     * @param \DateTimeImmutable     $day     of the client's own calendar
     * @param ?int                   $seq     number that its device gave it; null: from a page without scripts
     * @param int                    $arrival in which order it came; decides only where no device has numbered them
     * @param ?Told                  $told    of a line or of something wrong; null for the other kinds
     * @param array<string, int>     $totals  running, by what is counted
     * @param array<string, Noticed> $noticed by what was asked
     * @param ?int                   $pain    0 to 10, told at the end, where the item has its share of it
     * @param ?Felt                  $whole   how hard the sitting was as a whole
     * @param ?Unlike                $unlike  themselves they were in it
     */
    public function __construct(
        public string $id,
        public EventKind $kind,
        public \DateTimeImmutable $at,
        public \DateTimeImmutable $day,
        public ?int $seq = null,
        public int $arrival = 0,
        public ?Told $told = null,
        public array $totals = [],
        public array $noticed = [],
        public ?int $pain = null,
        public ?Felt $whole = null,
        public ?Unlike $unlike = null,
    ) {
    }

    /** @return array{int, int, int, string} by the time, then as the device counts, then as they came */
    public function place(): array
    {
        return [$this->at->getTimestamp(), $this->seq ?? 0, $this->arrival, $this->id];
    }
}
