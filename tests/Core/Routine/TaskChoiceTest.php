<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\LeftOut;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\TaskChoice;
use HandGarden\Core\Routine\TaskToday;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** A sitting ends in the real thing, at the part that the hand allows. */
final class TaskChoiceTest extends TestCase
{
    public function testEveryGoalHasATaskInPartsAndEveryTaskIsAGoal(): void
    {
        $goals = array_map(static fn ($g): string => $g->key, Cases::catalogue()->goals);
        self::assertCount(24, $goals);
        $parts = 0;
        foreach ($goals as $key) {
            $task = Cases::catalogue()->task($key);
            self::assertNotNull($task, $key);
            self::assertNotSame([], $task->steps);
            $parts += \count($task->parts);
        }
        self::assertSame(91, $parts);
    }

    public function testTheHighestPartThatTheHandAllowsIsGiven(): void
    {
        $case = Cases::example('tight-hand');
        $side = $case->facts->people->affected[0];
        $task = fn (float $passive): ?TaskToday => $this->choice($case->facts->withReadings(new Readings([
            ...$case->facts->measured->readings->where(
                static fn (Reading $r): bool => 'opening' !== $r->code,
            )->current(),
            new Reading(
                'opening',
                $side,
                Mode::Passive,
                null,
                value: $passive,
                on: $case->today,
            ),
        ])), $case->today)->of(Goals::one(Cases::catalogue()->goal('clean-palm')));

        self::assertSame('whole', $task(55.0)?->part?->id);
        self::assertSame('slide', $task(30.0)?->part?->id);
        self::assertContains($task(10.0)?->part?->id, ['thumb', 'soak']);
    }

    public function testABladeIsNeverGivenWithoutSomebodyBeside(): void
    {
        $goal = Goals::one(Cases::catalogue()->goal('cut-food'));
        for ($seed = 0; $seed < 60; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = $client->facts();
            $today = $this->choice($facts, $client->today)->of($goal);
            $isBlade = \in_array('blade', $today->part->flags ?? [], true);
            self::assertTrue(
                !$isBlade || $facts->setting->supervised,
                "seed $seed",
            );
        }
    }

    public function testEveryPartHoldsOnlyWhileItsFlagsDo(): void
    {
        $given = 0;
        for ($seed = 0; $seed < 80; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = $client->facts();
            foreach (Cases::catalogue()->goals as $goal) {
                $today = $this->choice($facts, $client->today)->of(Goals::one($goal));
                if (null !== $today?->part) {
                    ++$given;
                    $known = new KnownFacts($facts, Cases::catalogue()->vocabulary, $client->today);
                    self::assertTrue($today->part->entry->judge($known, $today->side)->isTrue());
                }
            }
        }
        self::assertGreaterThan(200, $given);
    }

    public function testASittingEndsInTheTaskOrSaysWhatIsMissing(): void
    {
        for ($seed = 0; $seed < 16; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = $client->facts([], [], true);
            $goal = Cases::catalogue()->goals[$seed % 24];
            $today = $this->choice($facts, $client->today)->of(Goals::one($goal));
            if (null === $today) {
                continue;
            }
            $routine = (new Builder(Cases::catalogue()))->build(new Brief(
                (new Placer(Cases::catalogue()))->place($facts, $client->today),
                $facts,
                Goals::one($goal),
                new Limits(25),
                today: $client->today,
            ));
            $tasks = array_filter(
                $routine->sequence->items,
                static fn (Item $i): bool => 'variant.task' === $i->variant?->code,
            );
            $said = array_filter(
                $routine->leftOut,
                static fn (LeftOut $l): bool => str_contains(Said::of($l->reason), 'Not yet as a task'),
            );
            self::assertSame(null !== $today->part, [] !== $tasks, "seed $seed");
            self::assertSame(null === $today->part, [] !== $said, "seed $seed");
            foreach (array_keys($tasks) as $at) {
                $after = \array_slice($routine->sequence->items, $at + 1);
                self::assertSame([], array_filter($after, static fn (Item $i): bool => !$i->isCoolDown()));
            }
        }
    }

    private function choice(ClientFacts $facts, \DateTimeImmutable $today): TaskChoice
    {
        $known = new KnownFacts($facts, Cases::catalogue()->vocabulary, $today);

        return new TaskChoice(Cases::catalogue(), $facts, $known);
    }
}
