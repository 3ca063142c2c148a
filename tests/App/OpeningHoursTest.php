<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\OpeningHours;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Sitting\Within;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Limits run while the clinic works. The clinic of these tests: Monday to Friday, 8 to 16, shut on 24 December. */
final class OpeningHoursTest extends TestCase
{
    private const ZONE = 'Europe/Tallinn';

    /** @return iterable<string, array{AlertKind, string, string, string}> kind, received, seen by, answered by */
    public static function limits(): iterable
    {
        yield 'an emergency in the morning' => [
            AlertKind::Emergency, '2026-11-30 09:10', '2026-11-30 10:10', '2026-11-30 16:00',
        ];
        yield 'strong pain on a Friday after hours runs from Monday' => [
            AlertKind::Part, '2026-11-27 17:30', '2026-12-01 08:00', '2026-12-01 16:00',
        ];
        yield 'four hours go over a night' => [
            AlertKind::Stop, '2026-11-30 14:00', '2026-12-01 10:00', '2026-12-01 16:00',
        ];
        yield 'a cramp' => [
            AlertKind::Cramp,
            '2026-11-30 11:00',
            '2026-12-02 11:00',
            '2026-12-03 16:00',
        ];
        yield 'over a holiday and a weekend' => [
            AlertKind::Wear, '2026-12-23 12:00', '2026-12-25 12:00', '2026-12-25 16:00',
        ];
    }

    #[DataProvider('limits')]
    public function testALimitRunsInWorkingHours(
        AlertKind $kind,
        string $received,
        string $seen,
        string $answered,
    ): void {
        $hours = self::hours();
        $at = self::at($received);

        self::assertSame(
            $seen,
            $hours->end($kind->seenWithin(), $at)->format('Y-m-d H:i'),
        );
        self::assertSame(
            $answered,
            $hours->end($kind->answeredWithin(), $at)->format('Y-m-d H:i'),
        );
    }

    public function testNothingIsWorkedOverAWeekend(): void
    {
        $hours = self::hours();

        self::assertSame(
            0,
            $hours->worked(
                self::at('2026-11-27 17:30'),
                self::at('2026-11-30 08:00'),
            ),
        );
        self::assertSame(
            3600,
            $hours->worked(
                self::at('2026-11-27 15:30'),
                self::at('2026-11-30 08:30'),
            ),
        );
    }

    public function testWhatIsAddedIsWhatWasWorked(): void
    {
        $hours = self::hours();
        foreach (range(0, 400, 7) as $step) {
            $from = self::at('2026-12-18 06:00')->modify('+'.(53 * $step).' minutes');
            foreach ([60, 3600, 8 * 3600, 30_000, 90_000] as $seconds) {
                self::assertSame(
                    $seconds,
                    $hours->worked(
                        $from,
                        $hours->later($from, $seconds),
                    ),
                );
            }
        }
    }

    public function testWithoutHoursEveryHourCounts(): void
    {
        $always = new OpeningHours(
            [],
            [],
            self::ZONE,
        );
        $saturday = self::at('2026-11-28 23:30');

        self::assertSame(
            '2026-11-29 03:30',
            $always->end(Within::hours(4), $saturday)->format('Y-m-d H:i'),
        );
        self::assertSame(
            '2026-11-30 00:00',
            $always->end(Within::closingOf(1), $saturday)->format('Y-m-d H:i'),
        );
        self::assertSame(
            '2026-11-30 23:30',
            $always->end(Within::days(2), $saturday)->format('Y-m-d H:i'),
        );
    }

    public function testAClinicThatIsNeverOpenStillHasLimits(): void
    {
        $shut = new OpeningHours([1 => ['08:00', '16:00']], array_map(
            static fn (int $n): string => self::at('2026-11-02')->modify('+'.(7 * $n).' days')->format(
                'Y-m-d',
            ),
            range(0, 60),
        ), self::ZONE);
        $from = self::at('2026-11-30 09:00');

        self::assertSame(
            3600,
            $shut->later($from, 3600)->getTimestamp() - $from->getTimestamp(),
        );
    }

    private static function hours(): OpeningHours
    {
        return new OpeningHours(
            array_fill(1, 5, ['08:00', '16:00']),
            ['2026-12-24'],
            self::ZONE,
        );
    }

    private static function at(string $time): \DateTimeImmutable
    {
        return new \DateTimeImmutable(
            $time,
            new \DateTimeZone(self::ZONE),
        );
    }
}
