<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Core\Report\PlanNow;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Week\PlannedDay;
use HandGarden\Core\Week\Week;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;

/** What is planned at home, as it stands on a day: what goes on, and what rests. */
final readonly class PlanMaterials
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
    ) {
    }

    /** @return ?PlanNow null: nothing is planned */
    public function now(Client $client, Week $planned, \DateTimeImmutable $day): ?PlanNow
    {
        $routine = $this->plans->routine($client);
        $all = self::keys($this->plan->itemsOf($client, $routine));
        if (null === $routine || [] === $all) {
            return null;
        }
        $week = $planned->days;
        $open = array_merge(...array_map(static fn (PlannedDay $d): array => self::keys($d->items), $week));
        $block = $this->plans->block($client);
        $runs = null !== $block && $block->block()->ends() >= $day;

        return new PlanNow(
            $routine->id,
            \count(array_intersect($all, $open)),
            \count(array_diff($all, $open)),
            max(0, ...array_map(static fn (PlannedDay $d): int => $d->minutes(), $week)),
            daysPerWeek: $client->daysPerWeek,
            blockId: $runs ? $block->id : null,
            ends: $runs ? $block->block()->ends() : null,
        );
    }

    /**
     * @param list<Item> $items
     *
     * @return list<string> pauses left out
     */
    private static function keys(array $items): array
    {
        return array_values(array_map(
            static fn (Item $i): string => $i->key(),
            array_filter($items, static fn (Item $i): bool => !$i->isPause),
        ));
    }
}
