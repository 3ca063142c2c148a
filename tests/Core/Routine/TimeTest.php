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
        $seconds = Cases::reviewed()['seconds'] + ['open-hand-weight-lean' => 68];
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

    public function testMoreOfAnythingNeverTakesLess(): void
    {
        $dose = Dose::from(2, 5, 2, 4, holdSeconds: 3, restSeconds: 10);
        foreach (
            [
                $dose->withSets(3),
                $dose->withRepetitions(6),
                $dose->withHold(4),
                $dose->withMove(5),
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

    private function item(string $rung, Hands $hands): Item
    {
        $rung = Cases::catalogue()->rung($rung);

        return new Item($rung, $hands, $rung->dosing->start, Phrase::own('test'));
    }
}
