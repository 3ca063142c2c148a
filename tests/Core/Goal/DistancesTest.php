<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Goal;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Goal\Distances;
use HandGarden\Core\Goal\SkillDistance;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Goals;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use PHPUnit\Framework\TestCase;

final class DistancesTest extends TestCase
{
    public function testRungsBetweenHereAndTheSkillAreCounted(): void
    {
        $case = Cases::example('tight-hand');
        $placements = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);
        $distances = (
            new Distances(Cases::catalogue(), $placements)
        )->for($this->goal('pour-glass'), [Side::Right]);
        $byRung = array_column(
            array_map(
                static fn (SkillDistance $d): array => [$d->skill->rungId, $d->rungs],
                $distances,
            ),
            1,
            0,
        );

        self::assertSame(1, $byRung['pressed-lift-hold'], 'stands on the rung below');
        self::assertSame(1, $byRung['wrist-to-neutral-release']);
        $palm = (
            new Distances(Cases::catalogue(), $placements)
        )->for($this->goal('clean-palm'), [Side::Right]);
        self::assertTrue($palm[0]->isReached());
    }

    public function testABlockedOrUnmeasuredLadderSaysSoInsteadOfANumber(): void
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            $client = new RandomClient($seed);
            $placements = (new Placer(Cases::catalogue()))->place($client->facts(), $client->today);
            foreach (Cases::catalogue()->goals as $goal) {
                foreach (
                    (
                        new Distances(Cases::catalogue(), $placements)
                    )->for($goal, [$client->side]) as $distance
                ) {
                    $silent = \in_array(
                        $distance->state,
                        [LadderState::Blocked, LadderState::Measure],
                        true,
                    );
                    self::assertSame($silent, null === $distance->rungs);
                    self::assertTrue(
                        null === $distance->rungs
                        || $distance->rungs < \count($distance->ladder->rungs) + 1,
                    );
                }
            }
        }
    }

    public function testEverySkillIsARungOfALadderThatLeadsToItsGoal(): void
    {
        foreach (Cases::catalogue()->goals as $goal) {
            self::assertNotSame([], $goal->skills, $goal->key);
            foreach ($goal->skills as $skill) {
                self::assertTrue(Cases::catalogue()->hasRung($skill->rungId), $skill->rungId);
                self::assertArrayHasKey(
                    Cases::catalogue()->ladderOf($skill->rungId)->key,
                    $goal->ladderWeights,
                    $goal->key.': '.$skill->rungId,
                );
            }
        }
    }

    public function testOneGoalCountsInFullAndALesserOneCountsLess(): void
    {
        $palm = $this->goal('clean-palm');
        $cup = $this->goal('hold-and-let-go');

        self::assertSame(4.0, Goals::one($palm)->weightOf('stretch-1'));
        self::assertSame(
            4.0,
            Goals::from([[$palm, 1]])->weightOf('stretch-1'),
            'alone it is the most important one',
        );
        $both = Goals::from([[$cup, 1], [$palm, 3]]);
        self::assertSame([$palm, 3], $both->goals[0]);
        self::assertEqualsWithDelta(4 + 2 / 3, $both->weightOf('stretch-1'), 1e-9);
        self::assertSame(
            ['Wash and dry the palm without help', 'Pick up a cup and let it go'],
            $both->servedBy('open-1'),
        );
        self::assertSame(0.0, Goals::none()->weightOf('stretch-1'));
        self::assertSame(
            [[$palm, 2]],
            Goals::chosen(Cases::catalogue()->goals, ['clean-palm' => 2, 'no-such-task' => 3])->goals,
        );
    }

    private function goal(string $key): GoalTask
    {
        return $this->catalogue()->goal($key) ?? self::fail($key);
    }

    private function catalogue(): Catalogue
    {
        return Cases::catalogue();
    }
}
