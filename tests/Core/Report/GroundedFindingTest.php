<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\GroundedFinding;
use PHPUnit\Framework\TestCase;

/** A finding names the measures without which it would read otherwise, and no other. */
final class GroundedFindingTest extends TestCase
{
    public function testRestsOnTheTwoOpeningsThatItCompares(): void
    {
        $day = MadeUpMaterial::day('2026-11-20');
        $opening = static fn (string $angle, float $percent): Reading => new Reading(
            'opening',
            Side::Right,
            Mode::Passive,
            $angle,
            value: $percent,
            on: $day,
        );
        $grounded = GroundedFinding::all(new Readings([
            $opening('0', 50.0),
            $opening('-60', 80.0),
            new Reading('grip_kg', Side::Right, null, null, value: 12.0, on: $day),
        ]), Side::Right, new Findings());
        $facts = [];
        foreach ($grounded as $one) {
            foreach ($one->facts as $fact) {
                $facts[] = $fact;
            }
        }
        $texts = array_values(array_unique(array_map(static fn (Fact $f): string => $f->text(), $facts)));
        sort($texts);

        self::assertSame([
            'reading:opening|-60|passive|right@2026-11-20',
            'reading:opening|0|passive|right@2026-11-20',
        ], $texts);
    }
}
