<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Helping;

use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\TaskWith;
use HandGarden\Core\Catalogue\Technique;
use HandGarden\Core\Catalogue\Techniques;
use HandGarden\Core\Helping\DoneBack;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a helper did back is signed only when every point was seen and was a yes. */
final class DoneBackTest extends TestCase
{
    /** @return iterable<string, array{Technique}> */
    public static function techniques(): iterable
    {
        foreach (self::taught()->all as $key => $technique) {
            yield $key => [$technique];
        }
    }

    #[DataProvider('techniques')]
    public function testOneNoOrOnePointNobodySawIsNotSigned(Technique $technique): void
    {
        $points = self::taught()->points($technique);
        $all = array_fill_keys(array_keys($points), true);
        self::assertTrue((new DoneBack(self::taught(), $technique, $all))->isSigned());
        foreach (array_keys($points) as $key) {
            $no = new DoneBack(self::taught(), $technique, [$key => false] + $all);
            self::assertFalse($no->isSigned(), $key);
            self::assertSame([$key => $points[$key]], $no->toPractise());
            self::assertSame([], $no->unseen());

            $unseen = new DoneBack(self::taught(), $technique, array_diff_key($all, [$key => true]));
            self::assertFalse($unseen->isSigned(), $key);
            self::assertSame([$key], $unseen->unseen());
        }
    }

    #[DataProvider('techniques')]
    public function testWhatHoldsEverywhereIsLookedForInEachTechnique(Technique $technique): void
    {
        self::assertSame(
            ['asks', 'sits', 'carries', 'looks', 'stops', 'calls'],
            \array_slice(array_keys(self::taught()->points($technique)), 0, 6),
        );
        self::assertGreaterThan(6, \count(self::taught()->points($technique)));
        self::assertNotSame([], $technique->lines);
    }

    public function testAPointThatNobodyAskedForSignsNothing(): void
    {
        $technique = self::taught()->find('wrist');
        self::assertNotNull($technique);
        $odd = new DoneBack(self::taught(), $technique, ['whatever' => true]);

        self::assertFalse($odd->isSigned());
    }

    public function testEverythingDoneByAHelpersHandsIsTaughtOnce(): void
    {
        $catalogue = Cases::catalogue();
        $asking = [];
        foreach ($catalogue->rungs() as $rung) {
            if (\in_array(Performer::Helper, $rung->fit->performers, true)) {
                $asking[] = $rung->id;
            }
        }
        foreach ($catalogue->tasks() as $task) {
            foreach ($task->parts as $part) {
                if (\in_array(TaskWith::Helper, $part->with, true)) {
                    $asking[] = $part->idIn($task);
                }
            }
        }
        self::assertGreaterThan(30, \count($asking));
        foreach ($asking as $id) {
            $by = array_filter(
                self::taught()->all,
                static fn (Technique $t): bool => \in_array($id, $t->ids, true),
            );
            self::assertCount(1, $by, $id);
        }
    }

    private static function taught(): Techniques
    {
        return Cases::catalogue()->handbook()->techniques;
    }
}
