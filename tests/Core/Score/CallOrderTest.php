<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Score;

use HandGarden\Core\Cue\Calls;
use HandGarden\Core\Score\CallOrder;
use PHPUnit\Framework\TestCase;

final class CallOrderTest extends TestCase
{
    public function testTheFirstCallIsOneAndNoneComesTwiceRunning(): void
    {
        foreach (range(0, 199) as $seed) {
            foreach ([8, 10, 23] as $count) {
                $order = CallOrder::of(new Calls(1, 5, $count, 3.0), $count, $seed, isFirst: true);

                self::assertCount($count, $order);
                self::assertSame(1, $order[0]);
                foreach (\array_slice($order, 1) as $i => $number) {
                    self::assertNotSame($order[$i], $number, "seed $seed");
                }
            }
        }
    }

    public function testAShortRunHasEachNumberOnceInFiveALongOneTwiceInTen(): void
    {
        foreach (range(0, 49) as $seed) {
            $short = CallOrder::of(new Calls(1, 5, 8, 3.0), 8, $seed, isFirst: true);
            $five = \array_slice($short, 0, 5);
            sort($five);
            self::assertSame([1, 2, 3, 4, 5], $five);

            $long = CallOrder::of(new Calls(1, 5, 10, 3.0), 10, $seed, isFirst: false);
            self::assertSame([1 => 2, 2, 2, 2, 2], self::counted($long));
        }
    }

    /**
     * @param list<int> $numbers
     *
     * @return array<int, int>
     */
    private static function counted(array $numbers): array
    {
        $counted = array_count_values($numbers);
        ksort($counted);

        return $counted;
    }
}
