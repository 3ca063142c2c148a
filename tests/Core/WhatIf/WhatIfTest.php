<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\WhatIf;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\WhatIf\Assumed;
use HandGarden\Core\WhatIf\StemPath;
use HandGarden\Core\WhatIf\WhatIf;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

final class WhatIfTest extends TestCase
{
    private const EXAMPLES = ['tight-hand', 'cupped-hands', 'fingers-together'];

    public function testTheSameSeedGivesTheSameWeeksAndNothingDoneMovesNothing(): void
    {
        foreach (self::EXAMPLES as $name) {
            self::assertEquals($this->weeks($name, 0.8), $this->weeks($name, 0.8));
            foreach ($this->weeks($name, 0.0) as $path) {
                self::assertSame([], $path->reached);
                self::assertSame(0, $path->metDays);
            }
        }
    }

    public function testDoingItMoreOftenNeverReachesARungLater(): void
    {
        $climbs = 0;
        foreach (self::EXAMPLES as $name) {
            foreach ([1, 2, 3] as $seed) {
                [$some, $most, $all] = array_map(
                    fn (float $share): array => $this->weeks($name, $share, $seed),
                    [0.6, 0.8, 1.0],
                );
                foreach ($some as $i => $path) {
                    self::assertLessThanOrEqual($most[$i]->metDays, $path->metDays);
                    self::assertLessThanOrEqual($all[$i]->metDays, $most[$i]->metDays);
                    foreach ($path->reached as $reached) {
                        $sooner = $all[$i]->dayOf($reached->rung->id);
                        self::assertNotNull(
                            $sooner,
                            "$name: {$reached->rung->id} is reached at 60 % and not when all is done",
                        );
                        self::assertLessThanOrEqual($reached->from, $sooner);
                        ++$climbs;
                    }
                }
            }
        }
        self::assertGreaterThan(0, $climbs, 'some climb');
    }

    public function testARungWhoseOwnConditionsAreNotMetIsWaitedForAndNotAssumed(): void
    {
        $lift = $this->path($this->weeks('tight-hand', 1.0), 'helped-lift-hold');

        self::assertSame([], $lift->reached, 'pressed lift and hold wants five seconds measured');
        self::assertSame('pressed-lift-hold', $lift->waitsFor?->rung->id);
        self::assertNotNull($lift->waitsSince);
    }

    public function testAClimbGoesOnWhereTheNextRungsOwnConditionsHold(): void
    {
        $case = Cases::example('cupped-hands');
        $rung = Cases::catalogue()->rung('round-ring-thumb-touch');
        $cap = $rung->dosing->start
            ->withSets($rung->dosing->amounts->most)
            ->withRepetitions($rung->dosing->range->repetitions[1])
            ->withHold($rung->dosing->range->holdSeconds[1]);
        $paths = (new WhatIf(Cases::catalogue()))->run(
            [new Prescribed($rung, Hands::Each, $cap)],
            new SittingLog([]),
            $case->facts,
            new Assumed(1.0, 7, 1),
            today: $case->today,
        );

        self::assertCount(1, $paths);
        self::assertSame('slow-two-hand-thumb-touch', $paths[0]->reached[0]->rung->id ?? null);
    }

    public function testEveryDoseIsOneThatTheRulesMayGive(): void
    {
        foreach (self::EXAMPLES as $name) {
            foreach ($this->weeks($name, 1.0) as $path) {
                $days = array_map(static fn (array $d): \DateTimeImmutable => $d[0], $path->doses);
                $sorted = $days;
                sort($sorted);
                self::assertSame($sorted, $days);
                foreach ($path->doses as [$day, $rung, $dose]) {
                    $rung->dosing->range->check($dose, $rung->name);
                }
            }
        }
    }

    /** @return list<StemPath> */
    private function weeks(string $name, float $adherence, int $seed = 7): array
    {
        $case = Cases::example($name);

        return (new WhatIf(Cases::catalogue()))->run(
            $this->routine($name),
            new SittingLog([]),
            $case->facts,
            new Assumed($adherence, 5, $seed),
            today: $case->today,
        );
    }

    /** @return list<Prescribed> */
    private function routine(string $name): array
    {
        $case = Cases::example($name);
        $facts = $case->facts;
        $items = (new Builder(Cases::catalogue()))->build(
            $case->brief((new Placer(Cases::catalogue()))->place($facts, $case->today)),
        )->sequence->items;

        return Prescribed::in($items);
    }

    /** @param list<StemPath> $paths */
    private function path(array $paths, string $rungId): StemPath
    {
        foreach ($paths as $path) {
            if ($path->start->id === $rungId) {
                return $path;
            }
        }
        self::fail($rungId.' is not in');
    }
}
