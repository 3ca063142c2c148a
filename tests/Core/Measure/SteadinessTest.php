<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Measure\Steadiness\Fourier;
use HandGarden\Core\Measure\Steadiness\InvalidTrace;
use HandGarden\Core\Measure\Steadiness\Signal;
use HandGarden\Core\Measure\Steadiness\Spectrum;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\Trace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SteadinessTest extends TestCase
{
    public function testFindsFrequencyAndAmplitudeOfAKnownTremor(): void
    {
        $noise = new Noise(5);
        for ($i = 0; $i < 40; ++$i) {
            $hz = $noise->between(2.6, 11.7);
            $peak = $noise->between(0.2, 6.0);
            $found = Steadiness::from(
                $noise->tremor($hz, $peak, $noise->between(18.0, 40.0), $peak / \M_SQRT2 / 10.0),
            );
            self::assertNotNull($found->peakHz, "no peak at $hz Hz");
            self::assertEqualsWithDelta($hz, $found->peakHz, 0.15);
            self::assertEqualsWithDelta(
                1.0,
                ($found->peakValue() ?? 0.0) / $peak,
                0.05,
                "amplitude at $hz Hz",
            );
        }
    }

    public function testTwoMillimetresAtFiveHertzIsWhatTheFormulaSays(): void
    {
        self::assertEqualsWithDelta(2.0, Signal::Acceleration->halfSwingMm(1.974, 5.0), 0.001);
        $found = Steadiness::from((new Noise(1))->tremor(5.0, 1.974, 20.0, 0.02));
        self::assertEqualsWithDelta(2.0, (float) $found->halfSwingMm(), 0.05);
        self::assertStringContainsString('Shakes 5.0 times a second, 2.0 mm', $found->words());
    }

    #[DataProvider('idleHands')]
    public function testNoiseAloneSeldomLooksLikeATremor(float $memory, int $axes): void
    {
        $noise = new Noise(7);
        foreach ([18.0, 22.0, 30.0, 60.0] as $seconds) {
            $runs = 60.0 === $seconds ? 20 : 60;
            $false = 0;
            for ($i = 0; $i < $runs; ++$i) {
                $false += null === Steadiness::from($noise->idle($seconds, $memory, $axes))->peakHz
                    ? 0
                    : 1;
            }
            self::assertLessThanOrEqual(0.05 * $runs, $false, "$seconds s");
        }
    }

    /** @return iterable<string, array{float, int}> */
    public static function idleHands(): iterable
    {
        yield 'white on three axes' => [0.0, 3];
        yield 'white on one axis' => [0.0, 1];
        yield 'slow sway' => [0.95, 3];
        yield 'drifting arm' => [1.0, 3];
        yield 'drifting on one axis' => [1.0, 1];
    }

    public function testTooShortSaysSo(): void
    {
        $short = Steadiness::from((new Noise(3))->tremor(5.0, 2.0, 17.5, 0.1));
        self::assertTrue($short->isTooShort());
        self::assertNull($short->peakHz);
        self::assertNull($short->rmsNear(5.0));
        self::assertStringContainsString('Too short', $short->words());
        self::assertFalse(Steadiness::from((new Noise(3))->tremor(5.0, 2.0, 18.0, 0.1))->isTooShort());
    }

    public function testNoWindowReachesAcrossAGapAndRepeatsAddUp(): void
    {
        $noise = new Noise(9);
        $repeat = $noise->tremor(6.0, 1.0, 10.0, 0.05);
        self::assertSame(4, Spectrum::from($repeat)?->windows);
        $two = $repeat->with($noise->tremor(6.0, 1.0, 10.0, 0.05));
        self::assertSame(8, Spectrum::from($two)?->windows, 'twenty seconds in one would hold nine');
        self::assertEqualsWithDelta(6.0, (float) Steadiness::from($two)->peakHz, 0.15);
    }

    public function testSamplesAreSortedDoublesLeftOutAndGapsCut(): void
    {
        $samples = [];
        for ($i = 0; $i < 1000; ++$i) {
            if ($i < 500 || $i > 540) {
                $samples[] = [10.0 * $i, (float) $i, 0.0, 0.0];
            }
        }
        $samples[] = $samples[17]; // came twice
        [$samples[3], $samples[4]] = [$samples[4], $samples[3]]; // came in the wrong order
        $trace = Trace::fromSamples(100.0, $samples);

        self::assertCount(2, $trace->stretches);
        self::assertSame(500, $trace->stretches[0]->length());
        self::assertSame([3.0, 4.0], \array_slice($trace->stretches[0]->x, 3, 2));
        self::assertEqualsWithDelta(9.59, $trace->seconds(), 0.001);
    }

    public function testRefusesARateThatIsNotTheOneNamed(): void
    {
        $samples = array_map(static fn (int $i): array => [20.0 * $i, 0.0, 0.0, 0.0], range(0, 200));
        $this->expectException(InvalidTrace::class);
        $this->expectExceptionMessage('20.00 ms');
        Trace::fromSamples(100.0, $samples);
    }

    public function testTheTransformAgreesWithItsDefinition(): void
    {
        $noise = new Noise(2);
        $a = $b = [];
        for ($i = 0; $i < 16; ++$i) {
            $a[] = $noise->gauss();
            $b[] = $noise->gauss();
        }
        [$powerA, $powerB] = (new Fourier(16))->squared($a, $b);
        foreach ([[$a, $powerA], [$b, $powerB]] as [$signal, $power]) {
            for ($k = 0; $k <= 8; ++$k) {
                $re = $im = 0.0;
                foreach ($signal as $i => $value) {
                    $re += $value * cos(2.0 * \M_PI * $k * $i / 16);
                    $im -= $value * sin(2.0 * \M_PI * $k * $i / 16);
                }
                self::assertEqualsWithDelta($re * $re + $im * $im, $power[$k], 1e-9);
            }
        }
    }

    public function testOtherRatesGiveTheSameAnswer(): void
    {
        $found = Steadiness::from((new Noise(4))->tremor(4.2, 1.5, 24.0, 0.1, rate: 50.0));
        self::assertEqualsWithDelta(4.2, (float) $found->peakHz, 0.15);
        self::assertEqualsWithDelta(1.5, (float) $found->peakValue(), 0.075);
    }

    public function testAFlatOrSlowlySampledTraceHasNoPeak(): void
    {
        $flat = array_map(static fn (int $i): array => [10.0 * $i, 1.0, 2.0, 9.0], range(0, 2400));
        self::assertNull(Steadiness::from(Trace::fromSamples(100.0, $flat))->peakHz);
        $slow = array_map(
            static fn (int $i): array => [500.0 * $i, sin($i), 0.0, 0.0],
            range(0, 100),
        );
        self::assertNull(Steadiness::from(Trace::fromSamples(2.0, $slow))->peakHz);
    }
}
