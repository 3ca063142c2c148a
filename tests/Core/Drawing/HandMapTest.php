<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Drawing;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\HandMap;
use PHPUnit\Framework\TestCase;

final class HandMapTest extends TestCase
{
    public function testTheLeftMapIsTheRightOneMirroredAndEveryJointLiesInside(): void
    {
        $right = HandMap::from(Side::Right);
        $left = HandMap::from(Side::Left);
        self::assertSame(array_keys($right->joints), array_keys($left->joints));
        foreach ($right->joints as $key => [$x, $y]) {
            self::assertEqualsWithDelta(-$x, $left->joints[$key][0], 0.1, $key);
            self::assertEqualsWithDelta($y, $left->joints[$key][1], 0.1, $key);
            [$l, $t, $w, $h] = $right->window;
            self::assertTrue($x > $l && $x < $l + $w && $y > $t && $y < $t + $h, $key);
        }
    }

    public function testTheBackOfARightHandHasItsThumbOnTheLeftAndItsFingersUp(): void
    {
        $joints = HandMap::from(Side::Right)->joints;
        self::assertLessThan($joints['little_mcp'][0], $joints['thumb_ip'][0]);
        foreach (Digit::fingers() as $finger) {
            self::assertLessThan(
                $joints[$finger->value.'_mcp'][1],
                $joints[$finger->value.'_pip'][1],
            );
            self::assertLessThan(
                $joints[$finger->value.'_pip'][1],
                $joints[$finger->value.'_dip'][1],
            );
            self::assertLessThan($joints['wrist'][1], $joints[$finger->value.'_mcp'][1]);
        }
    }
}
