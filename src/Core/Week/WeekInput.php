<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Routine\Item;

/** What a week is made from. Days of the week count from 0, Monday. */
final readonly class WeekInput
{
    public const MOST_SITTINGS = 5;

    /**
     * @param \DateTimeImmutable          $monday       first day
     * @param list<Item>                  $items        of the routine, in their order
     * @param list<Condition>             $conditions
     * @param list<int>                   $doseMinutes  times of a medicine that is felt, in minutes of the day
     * @param array<int, list<Slot>>      $busy         by day of the week
     * @param array<int, list<Slot>>|null $helper       by day of the week; null: the helper is always there
     * @param \DateTimeImmutable|null     $lastStrength day of the last strength work before this week
     * @param bool                        $isStiff      stiffness speaks for moving before breakfast
     * @param list<Item>                  $others       of the list for every other training day; empty: there is one
     * @param int                         $sittings     of a day, each with the whole list
     * @param ?Block                      $block        null: nobody has begun one
     */
    public function __construct(
        public \DateTimeImmutable $monday,
        public array $items,
        public int $daysPerWeek,
        public array $conditions = [],
        public array $doseMinutes = [],
        public array $busy = [],
        public ?array $helper = null,
        public ?\DateTimeImmutable $lastStrength = null,
        public bool $isStiff = false,
        public array $others = [],
        public int $sittings = 1,
        public ?Block $block = null,
    ) {
        if ('1' !== $monday->format('N')) {
            throw InvalidWeek::because('no_monday');
        }
        if ($daysPerWeek < 1 || $daysPerWeek > 7) {
            throw InvalidWeek::because('days', ['days' => $daysPerWeek]);
        }
        if ($sittings < 1 || $sittings > self::MOST_SITTINGS) {
            throw InvalidWeek::because('sittings', ['sittings' => $sittings, 'most' => self::MOST_SITTINGS]);
        }
    }

    /** @return list<Item> */
    public function itemsOf(?DayList $list): array
    {
        return DayList::B === $list ? $this->others : $this->items;
    }

    public function day(int $weekday): \DateTimeImmutable
    {
        return $this->monday->modify('+'.$weekday.' days');
    }

    public function isInBlock(int $weekday): bool
    {
        return null === $this->block || $this->block->covers($this->day($weekday));
    }

    public function followsMedicine(): bool
    {
        return [] !== $this->doseMinutes && \in_array(Condition::Parkinsons, $this->conditions, true);
    }
}
