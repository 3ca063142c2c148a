<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ShortList;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** Half a sitting for a day on which the whole is too much. */
final class ShortListTest extends TestCase
{
    public function testKeepsAnExerciseWithWhatPreparesItAndTheEnd(): void
    {
        $items = [
            $this->item('wrist-ease-back'),
            $this->item('finger-space-opener'),
            $this->item('helped-lift-hold'),
            $this->item('close-and-open'),
            $this->item('wrist-forward-release'),
            $this->item('finger-lengthening-massage'),
        ];
        $kept = ShortList::of($items, [2 => [[0, 1]], 3 => [[1]], 4 => [[1]]]);

        self::assertSame($kept, array_values(array_unique($kept)));
        self::assertContains(5, $kept, 'what it ends with stays');
        foreach ([2, 3, 4] as $place) {
            self::assertTrue(
                !\in_array($place, $kept, true) || \in_array(1, $kept, true),
                'nothing is unprepared',
            );
        }
        $main = array_intersect($kept, [0, 1, 2, 3, 4]);
        self::assertNotCount(0, $main, 'there is always something to do');
        $seconds = static fn (int ...$places): int => array_sum(
            array_map(static fn (int $p): int => $items[$p]->seconds(), $places),
        );
        self::assertTrue(
            $seconds(...$kept) <= 0.5 * $seconds(...array_keys($items)) || \count($main) <= 2,
        );
    }

    public function testAListOfOneStaysWhole(): void
    {
        self::assertSame([0], ShortList::of([$this->item('close-and-open')], []));
        self::assertSame([], ShortList::of([], []));
    }

    private function item(string $rungId): Item
    {
        $rung = Cases::catalogue()->rung($rungId);

        return new Item($rung, Hands::Right, $rung->dosing->start, Phrase::own(''));
    }
}
