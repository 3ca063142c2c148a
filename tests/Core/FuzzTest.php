<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core;

use HandGarden\Bench\Fuzz\Chance;
use HandGarden\Bench\Fuzz\CoreTargets;
use HandGarden\Bench\Fuzz\Nasty;
use PHPUnit\Framework\TestCase;

/** Spoiled input is taken or refused in words, never anything else; `bench/fuzz` sends a hundred times as much. */
final class FuzzTest extends TestCase
{
    public function testEverySpoiledInputIsTakenOrRefusedInWords(): void
    {
        $chance = new Chance(20_261_128);
        $targets = (new CoreTargets(Cases::root(), $chance, new Nasty($chance)))->all();
        $wrong = [];
        for ($round = 0; $round < 250; ++$round) {
            foreach ($targets as $name => $target) {
                $problem = CoreTargets::outcome($target);
                if (null !== $problem) {
                    $wrong[] = $name.': '.$problem;
                }
            }
        }

        self::assertSame([], array_unique($wrong));
    }
}
