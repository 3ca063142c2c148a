<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Words\Phrase;

/** What a plan has before each of its items to prepare it: where all of that waits, the item waits too. */
final readonly class StillPrepared
{
    public function __construct(
        private SittingRules $rules,
    ) {
    }

    /**
     * @param list<Item> $planned in order
     *
     * @return array<int, list<non-empty-list<int>>> by place: for each need that is met, the places that meet it
     */
    public function by(array $planned): array
    {
        $by = [];
        foreach ($planned as $place => $item) {
            $by[$place] = [];
            foreach ($item->isPause ? [] : $this->rules->needsOf($item) as $need) {
                $meeting = array_keys(array_filter(
                    \array_slice($planned, 0, $place),
                    static fn (Item $earlier): bool => !$earlier->isPause && $need->isMetBy($earlier),
                ));
                if ([] !== $meeting) {
                    $by[$place][] = $meeting;
                }
            }
        }

        return $by;
    }

    /**
     * @param list<Item>               $planned in order
     * @param \Closure(Item): ?Phrase $why     an item waits by itself; null: it does not
     *
     * @return array<int, ?Phrase> by place, why each waits, or what prepares it does; null: it does not
     */
    public function waiting(array $planned, \Closure $why): array
    {
        $waiting = array_map(
            static fn (Item $item): ?Phrase => $item->isPause ? null : $why($item),
            $planned,
        );
        $left = array_keys(array_filter($waiting, static fn (?Phrase $w): bool => null === $w));
        foreach ($this->unprepared($planned, $left) as $place) {
            $waiting[$place] = new Phrase('left_out.unprepared');
        }

        return $waiting;
    }

    /**
     * @param list<Item> $planned in order
     * @param list<int>  $left    places that do not wait themselves
     *
     * @return list<int> places that wait for want of what prepares them
     */
    public function unprepared(array $planned, array $left): array
    {
        $out = [];
        foreach ($this->by($planned) as $place => $needs) {
            foreach (\in_array($place, $left, true) ? $needs : [] as $meeting) {
                if ([] === array_diff(array_intersect($meeting, $left), $out)) {
                    $out[] = $place;
                    break;
                }
            }
        }

        return $out;
    }
}
