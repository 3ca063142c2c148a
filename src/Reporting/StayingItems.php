<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ShortList;
use HandGarden\Core\Week\Week;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\PlanWeek;
use HandGarden\Planning\RoutineKind;

/** Exercises that go on after care, at their doses of record, without what nothing but a therapist may open. */
final readonly class StayingItems
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private PlanWeek $weeks,
        private Briefs $briefs,
    ) {
    }

    /** The week that holds a day. */
    public function week(Client $client, \DateTimeImmutable $day): Week
    {
        return $this->weeks->for($client, $this->weeks->monday($client, $day->format('Y-m-d')));
    }

    /** @return list<Item> for a day when the whole is too much, pauses left out */
    public function short(Client $client, \DateTimeImmutable $day): array
    {
        $hasOwn = \in_array(RoutineKind::Short, $this->plans->kinds($client), true);
        $kind = $hasOwn ? RoutineKind::Short : RoutineKind::Home;
        $items = self::open($this->plan->items($client, $kind), $this->briefs->door($client, $kind));
        if (!$hasOwn) {
            $short = ShortList::of($items, $this->briefs->prepared($client, $kind)->by($items));
            $items = array_map(static fn (int $place): Item => $items[$place], $short);
        }

        return self::worked($items);
    }

    /** @return list<Item> each exercise of the week and of the short list once */
    public function all(Client $client, \DateTimeImmutable $day): array
    {
        $all = [];
        foreach ($this->week($client, $day)->days as $planned) {
            foreach (self::worked($planned->items) as $item) {
                $all[$item->key()] ??= $item;
            }
        }
        foreach ($this->short($client, $day) as $item) {
            $all[$item->key()] ??= $item;
        }

        return array_values($all);
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private static function open(array $items, Door $door): array
    {
        return array_values(array_filter($items, static fn (Item $i): bool => null === $door->stops($i)));
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private static function worked(array $items): array
    {
        return array_values(array_filter($items, static fn (Item $i): bool => !$i->isPause));
    }
}
