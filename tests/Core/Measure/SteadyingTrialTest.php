<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Measure\Steadiness\SetUp;
use HandGarden\Core\Measure\Steadiness\SteadyingTrial;
use HandGarden\Core\Measure\Steadiness\StudentT;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SteadyingTrialTest extends TestCase
{
    #[DataProvider('tabulated')]
    public function testQuantilesAreThoseOfTheTables(float $p, float $free, float $t): void
    {
        self::assertEqualsWithDelta($t, StudentT::quantile($p, $free), 0.0006);
        self::assertEqualsWithDelta($p, StudentT::below($t, $free), 0.0001);
    }

    /** @return list<array{float, float, float}> */
    public static function tabulated(): array
    {
        return [
            [0.975, 1.0, 12.7062],
            [0.975, 6.0, 2.4469],
            [0.95, 10.0, 1.8125],
            [0.995, 20.0, 2.8453],
            [0.975, 120.0, 1.9799],
            [0.5, 5.0, 0.0],
        ];
    }

    public function testUnchangedHandsAreSeldomCalledBetter(): void
    {
        $noise = new Noise(11);
        foreach ([3 => 'few', 5 => 'more'] as $trials => $name) {
            $better = 0;
            for ($run = 0; $run < 2000; ++$run) {
                $amplitudes = [];
                foreach (SetUp::cases() as $setUp) {
                    for ($i = 0; $i < $trials; ++$i) {
                        $amplitudes[$setUp->value][] = exp(0.3 * $noise->gauss());
                    }
                }
                $better += null === SteadyingTrial::compare($amplitudes)->winner() ? 0 : 1;
            }
            self::assertLessThanOrEqual(0.06 * 2000, $better, $name);
            self::assertGreaterThan(0, $better, 'a test that never errs would never find anything');
        }
    }

    public function testAClearGainIsFoundAndNamed(): void
    {
        $trial = SteadyingTrial::compare(
            [
                'unsupported' => [2.0, 2.1, 1.9],
                'support' => [1.0, 1.1, 0.9],
                'weight' => [1.95, 2.1, 2.0],
            ],
            5.2,
        );

        self::assertSame(SetUp::Support, $trial->winner());
        self::assertTrue($trial->gain(SetUp::Support));
        self::assertFalse($trial->gain(SetUp::Weight));
        self::assertNull($trial->gain(SetUp::Exhale), 'not tried is no answer');
        self::assertSame(5.2, $trial->frequencyHz);
    }

    public function testNeedsThreeTrialsOfEach(): void
    {
        $trial = SteadyingTrial::compare(['unsupported' => [2.0, 2.1, 1.9], 'support' => [0.1, 0.1]]);
        self::assertNull($trial->winner());
        self::assertNull($trial->gain(SetUp::Support));
        self::assertStringContainsString('at least 3 trials', $trial->why);
    }

    public function testASetUpThatQuietsTheHandAltogetherCounts(): void
    {
        $noise = new Noise(21);
        $traces = [];
        for ($i = 0; $i < 3; ++$i) {
            $traces['unsupported'][] = $noise->tremor(5.0, $noise->between(1.8, 2.2), 20.0, 0.1);
            $traces['support'][] = $noise->tremor(5.0, 0.0, 20.0, 0.1);
        }
        $trial = SteadyingTrial::ofTraces($traces);
        self::assertSame(SetUp::Support, $trial->winner());
        self::assertEqualsWithDelta(5.0, (float) $trial->frequencyHz, 0.1);
    }

    public function testAHandThatDoesNotShakeHasNothingToSteady(): void
    {
        $noise = new Noise(22);
        $idle = [];
        for ($i = 0; $i < 3; ++$i) {
            $idle['unsupported'][] = $noise->idle(20.0);
            $idle['support'][] = $noise->idle(20.0);
        }
        $trial = SteadyingTrial::ofTraces($idle);
        self::assertNull($trial->winner());
        self::assertStringContainsString('nothing to steady', $trial->why);
    }

    public function testTheOrderIsShuffledBySeedAndFair(): void
    {
        $setUps = [SetUp::Unsupported, SetUp::Support, SetUp::Weight];
        $order = SteadyingTrial::order($setUps, 3, 42);
        self::assertSame($order, SteadyingTrial::order($setUps, 3, 42));
        self::assertNotSame($order, SteadyingTrial::order($setUps, 3, 43));
        foreach ($setUps as $setUp) {
            self::assertCount(3, array_filter($order, static fn (SetUp $s): bool => $s === $setUp));
        }
    }
}
