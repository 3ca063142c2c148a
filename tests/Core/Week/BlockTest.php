<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Week;

use HandGarden\Core\Week\Block;
use HandGarden\Core\Week\InvalidWeek;
use HandGarden\Core\Week\SampleState;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BlockTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, SampleState, SampleState}> */
    public static function days(): iterable
    {
        yield 'the first day' => ['2026-01-05', [], SampleState::Due, SampleState::Ahead];
        yield 'taken on the first day' => ['2026-01-06', ['2026-01-05'], SampleState::Kept, SampleState::Ahead];
        yield 'taken two days before' => ['2026-01-05', ['2026-01-03'], SampleState::Kept, SampleState::Ahead];
        yield 'taken three days late' => ['2026-01-08', ['2026-01-08'], SampleState::Kept, SampleState::Ahead];
        yield 'four days without' => ['2026-01-09', [], SampleState::Late, SampleState::Ahead];
        yield 'taken too late is no begin' => ['2026-01-10', ['2026-01-09'], SampleState::Late, SampleState::Ahead];
        yield 'the eleventh day' => ['2026-01-15', ['2026-01-05'], SampleState::Kept, SampleState::Due];
        yield 'both taken' => ['2026-01-18', ['2026-01-05', '2026-01-16'], SampleState::Kept, SampleState::Kept];
        yield 'three days after its end' => ['2026-01-21', ['2026-01-05'], SampleState::Kept, SampleState::Due];
        yield 'four days after its end' => ['2026-01-22', ['2026-01-05'], SampleState::Kept, SampleState::Late];
    }

    /** @param list<string> $taken */
    #[DataProvider('days')]
    public function testASampleIsDueAtItsDaysAndNotAfter(
        string $today,
        array $taken,
        SampleState $before,
        SampleState $after,
    ): void {
        $block = new Block(new \DateTimeImmutable('2026-01-05'));
        $on = new \DateTimeImmutable($today);
        $days = array_map(
            static fn (string $day): \DateTimeImmutable => new \DateTimeImmutable($day),
            $taken,
        );

        self::assertSame($before, $block->before($days, $on));
        self::assertSame($after, $block->after($days, $on));
    }

    public function testItHasItsDaysAndNoOthers(): void
    {
        $block = new Block(new \DateTimeImmutable('2026-01-05'));

        self::assertSame('2026-01-18', $block->ends()->format('Y-m-d'));
        self::assertTrue($block->covers(new \DateTimeImmutable('2026-01-18')));
        self::assertFalse($block->covers(new \DateTimeImmutable('2026-01-19')));
        self::assertSame(3, $block->dayOf(new \DateTimeImmutable('2026-01-07')));
    }

    public function testNoBlockOfAYear(): void
    {
        $this->expectException(InvalidWeek::class);
        new Block(new \DateTimeImmutable('2026-01-05'), 365);
    }
}
