<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Approach\Approaches;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Data\Dates;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\LeftOut;
use HandGarden\Core\Week\Frequency;
use HandGarden\Core\Week\HelperHours;
use HandGarden\Core\Week\Week;
use HandGarden\Core\Week\WeekInput;
use HandGarden\Core\Week\WeekPlanner;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Clock;

/** The current routine spread over a week of one client. */
final readonly class PlanWeek
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private CatalogueStore $catalogue,
        private PastSittings $past,
        private Briefs $briefs,
        private Clock $clock,
    ) {
    }

    /** Monday of the week that holds a day; of this week when nothing readable is given. */
    public function monday(Client $client, string $day): \DateTimeImmutable
    {
        $in = Dates::day($day) ?? $this->clock->today($client->zone);

        return $in->modify('-'.((int) $in->format('N') - 1).' days');
    }

    public function for(Client $client, \DateTimeImmutable $monday): Week
    {
        $times = $this->plans->weekTimes($client);
        $facts = $this->plan->facts($client);
        $rules = (new Builder($this->catalogue->get()))->rulesFor(
            $facts,
            $this->briefs->limits($client, RoutineKind::Home),
            $monday,
        );
        $helper = HelperHours::parse($times->helperHours ?? '');

        return (new WeekPlanner($this->catalogue->get(), $rules))->plan(new WeekInput(
            $monday,
            $this->open($client, RoutineKind::Home),
            $this->days($client, $facts, $monday),
            $client->conditions(),
            doseMinutes: array_map(
                static fn (string $time): int => 60 * (int) substr($time, 0, 2) + (int) substr($time, 3),
                $client->intake()->doseTimes,
            ),
            busy: $times?->busy()->inWeek($monday, new \DateTimeZone($client->zone)) ?? [],
            helper: [] === $helper ? null : $helper,
            others: $this->open($client, RoutineKind::Other),
            sittings: $times->sittingsPerDay ?? 1,
            block: $this->plans->block($client)?->block(),
            lastStrength: $this->past->lastStrength($client, $this->clock->today($client->zone)),
            isStiff: [] !== array_intersect(
                array_map(static fn (Condition $c): string => $c->value, $client->conditions()),
                [
                    Condition::Spasticity->value,
                    Condition::Stroke->value,
                    Condition::BrainInjury->value,
                    Condition::Dystonia->value,
                ],
            ),
        ));
    }

    /** @return list<LeftOut> what of the lists of the week waits, and why */
    public function waits(Client $client): array
    {
        $waits = [];
        foreach ([RoutineKind::Home, RoutineKind::Other] as $kind) {
            $items = $this->plan->items($client, $kind);
            foreach (array_filter($this->waiting($client, $kind, $items)) as $place => $why) {
                $waits[$items[$place]->key()] = LeftOut::waiting($items[$place], $why);
            }
        }

        return array_values($waits);
    }

    /** @return list<Item> */
    private function open(Client $client, RoutineKind $kind): array
    {
        $items = $this->plan->items($client, $kind);

        return array_values(array_diff_key($items, array_filter($this->waiting($client, $kind, $items))));
    }

    /**
     * What is in the way of an item today is in the way of it all week, as far as anybody can say.
     *
     * @param list<Item> $items
     *
     * @return array<int, ?Phrase> by place
     */
    private function waiting(Client $client, RoutineKind $kind, array $items): array
    {
        $door = $this->briefs->door($client, $kind);

        return $this->briefs->prepared($client, $kind)->waiting(
            $items,
            static fn (Item $i): ?Phrase => $door->stops($i)?->why,
        );
    }

    /** Training days, by how practitioners spread the amount. */
    private function days(Client $client, ClientFacts $facts, \DateTimeImmutable $monday): int
    {
        $approaches = new Approaches(
            $facts,
            new KnownFacts($facts, $this->catalogue->get()->vocabulary, $monday),
        );

        return $approaches->follows(Question::Amount, School::B, $facts->people->affected[0])
            ? Frequency::few($client->daysPerWeek)
            : $client->daysPerWeek;
    }
}
