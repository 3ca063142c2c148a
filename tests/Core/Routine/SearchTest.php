<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Objective;
use HandGarden\Core\Routine\Option;
use HandGarden\Core\Routine\OptionGroup;
use HandGarden\Core\Routine\Rule\PauseBetweenHeavy;
use HandGarden\Core\Routine\Search\Compiler;
use HandGarden\Core\Routine\Search\Search;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Routine\Weights;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The search against trying everything, with the rules and the objective asked anew for every selection. */
final class SearchTest extends TestCase
{
    private const MOST_AMOUNTS = 7;
    private const MOST_CANDIDATES = 14;
    private const HEAVY = [
        'dry-wash-warm-up',
        'wrist-ease-back',
        'pressed-lift-hold',
        'slow-lower-from-lift',
        'edge-wrist-lift',
        'finger-lengthening-massage',
    ];

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 0; $seed < 24; ++$seed) {
            yield 'instance '.$seed => [$seed];
        }
    }

    /** Real candidates of a random client, thinned out to fourteen; random worth, limits, weights and goals. */
    #[DataProvider('seeds')]
    public function testFindsTheBestOfAllSelectionsOrThatThereIsNone(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $client = new RandomClient($seed, true);
        $facts = $client->facts([], [], true);
        $goals = Goals::from(
            [
                [Cases::catalogue()->goals[$seed % 6], 3],
                [Cases::catalogue()->goals[($seed + 3) % 6], $random->getInt(1, 3)],
            ],
        );
        $limits = new Limits(
            $random->getInt(4, 22),
            $random->getInt(0, 2) > 0 ? null : (float) $random->getInt(8, 30),
            $random->getInt(3, 9),
        );
        $brief = $client->brief($facts, $goals, $limits);
        $groups = $this->thinned(
            (new Candidates(Cases::catalogue(), $brief))->groups(),
            $random,
            self::MOST_CANDIDATES,
        );
        $weights = new Weights(
            area: $random->getInt(0, 30),
            balance: $random->getInt(0, 12),
            position: $random->getInt(0, 8),
        );
        $objective = new Objective(Cases::catalogue(), $goals, $weights);
        $rules = (new Builder(Cases::catalogue()))->rulesFor($facts, $limits, $client->today);
        $pause = $random->getInt(0, 1) > 0 ? $this->pause() : null;

        $found = $this->search($groups, $rules, $limits, $pause, objective: $objective)->best();

        self::assertSame($this->bruteForce($groups, $rules, $objective, $pause), $found?->value);
        if (null !== $found) {
            self::assertTrue($found->isProved());
            self::assertSame([], $rules->broken($found->items));
            self::assertSame(
                $found->value,
                $objective->for($found->items),
                'worth of the order that comes back',
            );
        }
    }

    /** The same with fewer candidates, each of which may be done up to three times as often; chains go in rounds. */
    #[DataProvider('seeds')]
    public function testFindsTheBestOfAllAmountsToo(int $seed): void
    {
        $random = new Randomizer(new Mt19937(100 + $seed));
        $client = new RandomClient(100 + $seed, true);
        $facts = $client->facts([], [], true);
        $goals = Goals::one(Cases::catalogue()->goals[$seed % 6]);
        $limits = new Limits(
            $random->getInt(8, 30),
            $random->getInt(0, 2) > 0 ? null : (float) $random->getInt(12, 50),
            $random->getInt(2, 6),
        );
        $brief = $client->brief($facts, $goals, $limits);
        $groups = $this->thinned(
            (new Candidates(Cases::catalogue(), $brief))->groups(),
            $random,
            self::MOST_AMOUNTS,
            grows: true,
        );
        $weights = new Weights(balance: $random->getInt(0, 12), position: $random->getInt(0, 8));
        $objective = new Objective(Cases::catalogue(), $goals, $weights);
        $rules = (new Builder(Cases::catalogue()))->rulesFor($facts, $limits, $client->today);

        $found = $this->search($groups, $rules, $limits, $this->pause(), objective: $objective)->best();

        self::assertSame($this->bruteForce($groups, $rules, $objective, $this->pause()), $found?->value);
        if (null !== $found) {
            self::assertTrue($found->isProved());
            self::assertSame($found->value, $objective->for($found->items));
        }
    }

    public function testAFewNodesGiveAnHonestBound(): void
    {
        $short = $proved = 0;
        for ($seed = 0; $seed < 12; ++$seed) {
            $client = new RandomClient($seed, true);
            $facts = $client->facts([], [], true);
            $limits = new Limits(20 + $seed);
            $brief = $client->brief($facts, Goals::one(Cases::catalogue()->goals[$seed % 6]), $limits);
            $groups = (new Candidates(Cases::catalogue(), $brief))->groups();
            $rules = (new Builder(Cases::catalogue()))->rulesFor($facts, $limits, $client->today);
            $objective = new Objective(Cases::catalogue(), $brief->goals, $brief->weights);
            $whole = $this
                ->search($groups, $rules, $limits, $this->pause(), objective: $objective, mostWork: 80_000)
                ->best();
            $cut = $this
                ->search($groups, $rules, $limits, $this->pause(), objective: $objective, mostWork: 900)
                ->best();
            if (null === $whole || null === $cut || !$whole->isProved()) {
                continue;
            }
            ++$proved;
            self::assertLessThanOrEqual($whole->value, $cut->value);
            self::assertGreaterThanOrEqual(
                $whole->value,
                $cut->bound,
                'the best lies under the bound',
            );
            $short += $cut->isProved() ? 0 : 1;
        }
        self::assertGreaterThan(6, $proved);
        self::assertGreaterThan(0, $short, 'some were cut short');
    }

    /** A search that has hardly begun has a whole sitting all the same, whatever begins and ends take of the time. */
    public function testHardlyAnyWorkStillGivesAWholeSitting(): void
    {
        $near = 0;
        foreach ([0, 17, 32, 44, 80] as $seed) {
            $client = new RandomClient($seed, true);
            $facts = $client->facts([], [], true);
            $limits = new Limits(60);
            $brief = $client->brief($facts, Goals::none(), $limits);
            $groups = (new Candidates(Cases::catalogue(), $brief))->groups();
            $rules = (new Builder(Cases::catalogue()))->rulesFor($facts, $limits, $client->today);

            $found = $this->search($groups, $rules, $limits, $this->pause(), mostWork: 1)->best();

            self::assertNotNull($found, "seed $seed");
            self::assertSame([], $rules->broken($found->items), "seed $seed");
            $near += $found->bound < 1.05 * $found->value ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(4, $near, 'near to the best before anything is proved');
    }

    public function testAPauseClearsTwoHeavyItemsForTheSameMuscles(): void
    {
        $limits = new Limits(30);
        $rules = SittingRules::for($limits, new HandsAtWork(['right' => 0.0, 'left' => 0.0], true));
        $groups = array_map(
            fn (string $id): OptionGroup => OptionGroup::from($this->item($id)->worth(10)),
            self::HEAVY,
        );

        $items = $this->search($groups, $rules, $limits, $this->pause())->best()->items
            ?? [];

        self::assertSame(
            [
                'dry-wash-warm-up',
                'wrist-ease-back',
                'pressed-lift-hold',
                'slow-lower-from-lift',
                'shake-loose-pause',
                'edge-wrist-lift',
                'finger-lengthening-massage',
            ],
            array_map(static fn (Item $i): string => $i->rung->id, $items),
        );
        self::assertSame([], $rules->broken($items));
    }

    public function testWhatATherapistWantsInComesInWithoutWhatShouldStandBeforeItOnlyWhenToldSo(): void
    {
        $limits = new Limits(20);
        $rules = SittingRules::for($limits, new HandsAtWork(['right' => 0.0, 'left' => 0.0], true));
        $groups = [
            OptionGroup::from($this->item('dry-wash-warm-up')),
            new OptionGroup('wanted', [new Option([$this->item('thumb-lift-away-stretch')])], true),
            OptionGroup::from($this->item('finger-lengthening-massage')),
        ];

        self::assertNull(
            $this->search($groups, $rules, $limits, null)->best(),
        );
        $found = (new Search(
            $groups,
            new Compiler($rules, $this->objective(), pinsNeedNothing: true),
            $this->objective(),
            $limits,
            pause: null,
        ))->best();
        self::assertSame(
            ['dry-wash-warm-up', 'thumb-lift-away-stretch', 'finger-lengthening-massage'],
            array_map(static fn (Item $i): string => $i->rung->id, $found->items ?? []),
        );
    }

    /**
     * @param list<OptionGroup> $groups
     *
     * @return list<OptionGroup> warm-up and closing among them, with another worth for every item
     */
    private function thinned(array $groups, Randomizer $random, int $most, bool $grows = false): array
    {
        $between = \count($groups) - 2;
        $kept = $between < 1 || $most < 3 || \count($groups) <= $most
            ? range(0, \count($groups) - 1)
            : [
                0,
                ...array_map(
                    static fn (int $i): int => $i + 1,
                    $random->pickArrayKeys(
                        array_fill(0, $between, true),
                        $most - 2,
                    ),
                ),
                \count($groups) - 1,
            ];
        $thinned = [];
        foreach ($kept as $i) {
            $options = \array_slice($groups[$i]->options, 0, 3);
            $thinned[] = new OptionGroup(
                $groups[$i]->label,
                array_map(
                    static fn (Option $o): Option => new Option(
                        array_map(
                            static fn (Item $item): Item => self::revalued(
                                $item,
                                crc32($item->key().$groups[$i]->label) % 60 - 5,
                                $grows,
                            ),
                            $o->items,
                        ),
                    ),
                    $options,
                ),
                0 === $random->getInt(0, 11),
            );
        }

        return $thinned;
    }

    private static function revalued(Item $item, int $worth, bool $grows): Item
    {
        $shares = $grows && [] !== $item->growth ? [60, 30] : [];

        return $item->worth($worth)->growing(
            array_map(static fn (int $share): int => intdiv(max(0, $worth) * $share, 100), $shares),
        );
    }

    /**
     * Every way to do the items of a sitting more often, a chain as a whole.
     *
     * @param list<Item> $items
     *
     * @return iterable<list<Item>>
     */
    private static function allAmounts(array $items): iterable
    {
        $most = [];
        foreach ($items as $item) {
            $unit = $item->block ?? $item->key();
            $most[$unit] = max($most[$unit] ?? 0, \count($item->growth));
        }
        $ways = [[]];
        foreach ($most as $unit => $steps) {
            $ways = array_merge(...array_map(
                static fn (array $way): array => array_map(
                    static fn (int $n): array => $way + [$unit => $n],
                    range(0, $steps),
                ),
                $ways,
            ));
        }
        foreach ($ways as $way) {
            yield array_map(
                static fn (Item $item): Item => $item->grown($way[$item->block ?? $item->key()]),
                $items,
            );
        }
    }

    /** @param list<OptionGroup> $groups */
    private function bruteForce(
        array $groups,
        SittingRules $rules,
        Objective $objective,
        ?Item $pause,
    ): ?int {
        $best = null;
        foreach ($this->allWays($groups, 0, [], $rules, pause: $pause) as $items) {
            $works = array_filter($items, static fn (Item $i): bool => self::isWork($i));
            if ([] === $works || [] !== $rules->broken($items)) {
                continue;
            }
            foreach (self::allAmounts($items) as $grown) {
                if ([] === $rules->broken($grown)) {
                    $best = max($best ?? \PHP_INT_MIN, $objective->for($grown));
                }
            }
        }

        return $best;
    }

    private static function isWork(Item $item): bool
    {
        return !$item->isPause && !$item->isWarmUp() && !$item->isCoolDown();
    }

    /**
     * @param list<OptionGroup> $groups
     * @param list<Item>        $items
     *
     * @return iterable<list<Item>>
     */
    private function allWays(
        array $groups,
        int $at,
        array $items,
        SittingRules $rules,
        ?Item $pause,
    ): iterable {
        if (!isset($groups[$at])) {
            yield $items;

            return;
        }
        foreach ($groups[$at]->options as $option) {
            $with = $items;
            $keys = array_map(
                static fn (Item $i): string => $i->key(),
                array_filter($items, static fn (Item $i): bool => !$i->isPause),
            );
            foreach ($option->items as $item) {
                if (\in_array($item->key(), $keys, true)) {
                    continue 2;
                }
                if ($this->needsPauseBefore($with, $item)) {
                    if (null === $pause) {
                        continue 2;
                    }
                    $with[] = $pause;
                }
                $with[] = $item;
            }
            if (!$this->isHopeless($rules, $with)) {
                yield from $this->allWays($groups, $at + 1, $with, $rules, pause: $pause);
            }
        }
        if (!$groups[$at]->must) {
            yield from $this->allWays($groups, $at + 1, $items, $rules, pause: $pause);
        }
    }

    /**
     * What no later item can mend: only to keep the trying short.
     *
     * @param list<Item> $items
     */
    private function isHopeless(SittingRules $rules, array $items): bool
    {
        foreach ($rules->broken($items) as $broken) {
            if (
                \in_array(
                    $broken->code,
                    ['over-time', 'over-effort', 'too-many-items', 'needs-before'],
                    true,
                )
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<OptionGroup> $groups
     * @param ?int              $mostWork null: as much as a page gives it
     */
    private function search(
        array $groups,
        SittingRules $rules,
        Limits $limits,
        ?Item $pause,
        ?Objective $objective = null,
        ?int $mostWork = null,
    ): Search {
        $objective ??= $this->objective();
        $compiler = new Compiler($rules, $objective);

        return null === $mostWork
            ? new Search($groups, $compiler, $objective, $limits, pause: $pause)
            : new Search($groups, $compiler, $objective, $limits, pause: $pause, mostWork: $mostWork);
    }

    private function objective(): Objective
    {
        return new Objective(Cases::catalogue(), Goals::none(), new Weights());
    }

    /** @param list<Item> $before */
    private function needsPauseBefore(array $before, Item $item): bool
    {
        $rule = new PauseBetweenHeavy();

        return \count($rule->broken([...$before, $item])) > \count($rule->broken($before));
    }

    private function pause(): Item
    {
        $rung = Cases::catalogue()->rung('shake-loose-pause');

        return new Item($rung, Hands::Together, $rung->dosing->start, Phrase::own('pause'), isPause: true);
    }

    private function item(string $id): Item
    {
        $rung = Cases::catalogue()->rung($id);

        return new Item(
            $rung,
            match (true) {
                2 === $rung->fit->doneOn->sides() => Hands::Each,
                'both together' === $rung->fit->doneOn->value => Hands::Together,
                default => Hands::Right,
            },
            $rung->dosing->start,
            Phrase::own('test'),
        );
    }
}
