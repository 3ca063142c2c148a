<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\GroupWork\ClassDoor;
use HandGarden\Core\GroupWork\PlaceCards;
use HandGarden\Core\GroupWork\Suggestion;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\InClass;
use HandGarden\Planning\Plan;

/** Which exercises a class could do, by how many of its places can do them as shown. */
final readonly class ClassIdeas
{
    public function __construct(
        private InClass $inClass,
        private Plan $plan,
        private CatalogueStore $catalogue,
    ) {
    }

    /**
     * @param list<Member> $members
     *
     * @return list<array{rung: Rung, places: int}> of all that a class may be led through, by name
     */
    public function for(array $members): array
    {
        $able = [];
        foreach ($this->catalogue->get()->rungs() as $rung) {
            if (ClassDoor::isForClasses($rung)) {
                $able[$rung->id] = ['rung' => $rung, 'places' => 0];
            }
        }
        foreach ($members as $member) {
            $door = $this->inClass->door($member->client);
            $worse = $this->plan->worseSide($member->client);
            foreach ($able as $id => ['rung' => $rung]) {
                $hands = ClassDoor::hands($rung, $worse);
                $may = null !== $hands
                    && null === $door->stops(new Item($rung, $hands, $rung->dosing->start, Phrase::own('')));
                $able[$id]['places'] += $may ? 1 : 0;
            }
        }
        usort($able, static fn (array $a, array $b): int => strcasecmp($a['rung']->name, $b['rung']->name));

        return $able;
    }

    /**
     * @param list<Member> $members
     *
     * @return list<string> exercises in the order in which they are led
     */
    public function suggest(array $members, int $minutes): array
    {
        $suggestion = new Suggestion(
            array_map(fn (Member $m): PlaceCards => $this->inClass->cards($m->client), $members),
            fn (Rung $rung): Ladder => $this->catalogue->get()->ladderOf($rung->id),
        );
        $ideas = $this->for($members);
        // what suits most of them, with the fewest things to fetch
        usort(
            $ideas,
            static fn (array $a, array $b): int => [$b['places'], \count($a['rung']->fit->materials)]
                <=> [$a['places'], \count($b['rung']->fit->materials)],
        );

        return array_map(
            static fn (Rung $rung): string => $rung->id,
            $suggestion->of(array_column($ideas, 'rung'), $minutes),
        );
    }
}
