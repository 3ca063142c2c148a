<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Routine\Hands;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TimeTest extends TestCase
{
    /** @return iterable<string, array{string, int}> seconds of one item at its start dose, as reviewed */
    public static function seconds(): iterable
    {
        $seconds = ['long-out-breath' => 80, 'shake-loose-pause' => 30, 'dry-wash-warm-up' => 110, 'finger-ripple' => 45, 'soft-fist-wrist-circles' => 90, 'paired-wrist-circles' => 50, 'cream-palm-massage' => 270, 'finger-lengthening-massage' => 110, 'flatten-after-cramp' => 140, 'extensor-wake-tap' => 50, 'wrist-ease-back' => 41, 'thumb-lift-away-stretch' => 50, 'finger-space-opener' => 50, 'staged-joint-opener' => 50, 'palm-down-flattening-rest' => 50, 'palms-part-fingertips-touch' => 50, 'gentle-palm-side-press' => 48, 'side-rest-wrist-back' => 68, 'helped-lift-hold' => 92, 'pressed-lift-hold' => 92, 'slow-lower-from-lift' => 92, 'active-wrist-lift' => 68, 'bent-elbow-wrist-lift' => 68, 'edge-wrist-lift' => 84, 'weighted-wrist-lift' => 146, 'open-attempt' => 85, 'close-and-open' => 110, 'soft-fist-wide-open' => 50, 'held-fist-full-open' => 130, 'textured-ball-grip-spread' => 110, 'single-finger-taps' => 60, 'each-finger-lift' => 150, 'wrist-forward-thumb-touch' => 80, 'table-thumb-touch' => 80, 'round-ring-thumb-touch' => 150, 'slow-two-hand-thumb-touch' => 83, 'arms-out-thumb-touch' => 158];
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
        self::assertEqualsCanonicalizing(array_map(static fn ($r): string => $r->id, Cases::catalogue()->rungs()), array_column(iterator_to_array(self::seconds()), 0));
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
        $dose = Dose::of(2, 5, 2, 4, 3, 10);
        foreach ([$dose->withSets(3), $dose->withRepetitions(6), $dose->withHold(4), $dose->withMove(5)] as $more) {
            self::assertGreaterThan($dose->totalSeconds(2, 20), $more->totalSeconds(2, 20));
        }
    }

    public function testLightWorkCountsHalfInTheBalanceAndAMixedItemIsSplit(): void
    {
        $balance = (new Sequence([$this->item('close-and-open', Hands::Right)]))->balance();

        // 60 s of work: extensors whole, flexors light; an item that loads both is split in halves
        self::assertSame(30.0, $balance->extensionSeconds);
        self::assertSame(15.0, $balance->flexionSeconds);
        self::assertNull((new Sequence([$this->item('long-out-breath', Hands::Together)]))->balance()->ratio());
    }

    private function item(string $rung, Hands $hands): Item
    {
        $rung = Cases::catalogue()->rung($rung);

        return new Item($rung, $hands, $rung->startDose, 'test');
    }
}
