<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TimeTest extends TestCase
{
    /** @return iterable<string, array{string, int}> seconds of one item at its start dose, as reviewed */
    public static function seconds(): iterable
    {
        // one finger, and one space between fingers, at a time
        $oneAtATime = ['coin-still-hold' => 50, 'web-ball-knuckle-squeeze' => 72];
        $seconds = $oneAtATime + Cases::reviewed()['seconds'] + ['open-hand-weight-lean' => 68];
        foreach ($seconds as $rung => $expected) {
            yield $rung => [$rung, $expected];
        }
    }

    #[DataProvider('seconds')]
    public function testAnItemTakesTheReviewedTime(string $rung, int $expected): void
    {
        self::assertSame($expected, Cases::catalogue()->rung($rung)->startSeconds());
    }

    public function testTheTableCoversTheWholeCatalogue(): void
    {
        self::assertEqualsCanonicalizing(
            array_map(static fn ($r): string => $r->id, Cases::catalogue()->rungs()),
            array_column(iterator_to_array(self::seconds()), 0),
        );
    }

    public function testBetweenItemsPassesTimeAndMoreOnAChangeOfPosition(): void
    {
        $lift = $this->item('helped-lift-hold', Hands::Right);
        $taps = $this->item('single-finger-taps', Hands::Right);
        $massage = $this->item('cream-palm-massage', Hands::Each);

        self::assertSame(92 + 15 + 60, (new Sequence([$lift, $taps]))->seconds());
        self::assertSame(92 + 15 + 30 + 270, (new Sequence([$lift, $massage]))->seconds());
    }

    public function testAChainIsSetUpOnceAndItsRestsStandBetweenRounds(): void
    {
        $ease = $this->item('wrist-ease-back', Hands::Right, 'chain');
        $thumb = $this->item('thumb-lift-away-stretch', Hands::Right, 'chain');
        $fingers = $this->item('finger-space-opener', Hands::Right, 'chain');
        $rounds = $thumb->dose->sets;
        $after = $this->item('helped-lift-hold', Hands::Right);

        self::assertSame(2, $rounds);
        self::assertSame(0, $thumb->dose->restSeconds, 'two rounds of it without a rest');
        self::assertSame(
            [
                $ease->seconds(),
                $thumb->seconds() - 15,
                $fingers->seconds() - 15,
                15 + $after->seconds(),
            ],
            (new Sequence([$ease, $thumb, $fingers, $after]))->times(),
        );
    }

    public function testOfTheRestsInAChainOnlyTheLongestStands(): void
    {
        $large = $this->item('wide-arm-pull-back', Hands::Together, 'chain');
        self::assertSame(30, $large->restSeconds());

        self::assertSame(
            $large->seconds() + 2 * 15 + 5 + $large->dose->workSeconds(),
            (new Sequence([$large, $large]))->seconds(),
            'going on in both rounds, 5 s to set up, and no second rest of 30 s',
        );
    }

    public function testMoreOfAnythingNeverTakesLess(): void
    {
        $dose = Dose::from(2, 5, 2, 4, holdSeconds: 3, restSeconds: 10);
        foreach (
            [
                $dose->withSets(3),
                $dose->withRepetitions(6),
                $dose->withHold(4),
                $dose->withMove(5),
                $dose->withPasses(2),
            ] as $more
        ) {
            self::assertGreaterThan($dose->totalSeconds(2, 20), $more->totalSeconds(2, 20));
        }
    }

    public function testLightWorkCountsHalfInTheBalanceAndAMixedItemIsSplit(): void
    {
        $balance = (new Sequence([$this->item('close-and-open', Hands::Right)]))->balance();

        // 60 s of work: extensors whole, flexors light; an item that loads both is split in halves
        self::assertSame(30.0, $balance->extensionSeconds);
        self::assertSame(15.0, $balance->flexionSeconds);
        self::assertNull(
            (new Sequence([$this->item('long-out-breath', Hands::Together)]))->balance()->ratio(),
        );
    }

    private function item(string $rung, Hands $hands, ?string $block = null): Item
    {
        $rung = Cases::catalogue()->rung($rung);

        return new Item($rung, $hands, $rung->dosing->start, Phrase::own('test'), block: $block);
    }
}
