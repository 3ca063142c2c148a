<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Assessment;

use HandGarden\Assessment\MeasuringDays;
use PHPUnit\Framework\TestCase;

final class MeasuringDaysTest extends TestCase
{
    public function testFewDaysStayAsTheyAre(): void
    {
        self::assertSame([], MeasuringDays::thinned([]));
        self::assertSame(['a', 'b'], MeasuringDays::thinned(['a', 'b'], 2));
    }

    public function testManyAreThinnedEvenlyAndKeepTheirEnds(): void
    {
        $days = array_map(strval(...), range(1, 200));
        $thin = MeasuringDays::thinned($days);

        self::assertCount(MeasuringDays::SHOWN, $thin);
        self::assertSame(['1', '200'], [$thin[0], $thin[MeasuringDays::SHOWN - 1]]);
        $gaps = array_map(
            static fn (int $i): int => (int) $thin[$i + 1] - (int) $thin[$i],
            range(0, MeasuringDays::SHOWN - 2),
        );
        self::assertLessThanOrEqual(1, max($gaps) - min($gaps));
    }
}
