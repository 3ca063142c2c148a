<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Assessment;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Assessment\Chart\IndependenceMap;
use HandGarden\Assessment\Chart\InkChart;
use HandGarden\Assessment\Chart\JointArcs;
use HandGarden\Assessment\Chart\OpeningCurve;
use HandGarden\Assessment\Chart\SpectrumPlot;
use HandGarden\Assessment\Chart\Trend;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\RealDifference;
use HandGarden\Core\Measure\Change\Repeats;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Ink\InkPoint;
use HandGarden\Core\Measure\Ink\LineGuide;
use HandGarden\Core\Measure\Ink\Sheet;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Measure\Noise;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** What a chart shows also stands in its words. */
final class ChartTest extends TestCase
{
    public function testTheOpeningCurveNamesTheReleaseAngle(): void
    {
        $chart = OpeningCurve::from($this->openings([-60 => 50.0, -30 => 30.0]), Side::Right);

        self::assertNotNull($chart);
        self::assertStringContainsString(
            '50 % at -60°, 30 % at -30°; lets go at -45°',
            Said::of($chart->description),
        );
        self::assertCount(1, self::marks($chart, 'line', 'release'));
        self::assertCount(2, self::marks($chart, 'circle', 'active-dot'));
    }

    public function testAHandThatNeverOpensEnoughOrAtOnceSaysSo(): void
    {
        self::assertStringContainsString(
            'stays under 40 % at every wrist angle',
            Said::of(
                OpeningCurve::from($this->openings([-60 => 30.0, 0 => 10.0]), Side::Right)?->description,
            ),
        );
        self::assertStringContainsString(
            'lets go at +30° or more',
            Said::of(
                OpeningCurve::from($this->openings([0 => 80.0, 30 => 60.0]), Side::Right)?->description,
            ),
        );
        self::assertStringContainsString(
            'measure a second wrist angle',
            Said::of(OpeningCurve::from($this->openings([0 => 80.0]), Side::Right)?->description),
        );
        self::assertNull(
            OpeningCurve::from(new Readings([]), Side::Left),
            'nothing measured, nothing drawn',
        );
    }

    public function testAJointThatBendsBackGoesToTheLeftOfStraight(): void
    {
        $chart = JointArcs::ofDigit(
            $this->joint(Side::Right, -15.0, 80.0),
            Side::Right,
            Digit::Index,
        );

        self::assertNotNull($chart);
        self::assertStringContainsString('active -15° to 80°', Said::of($chart->description));
        [$arc] = self::marks($chart, 'path', 'arc-active');
        self::assertSame(
            1,
            preg_match('/^M([\d.]+) ([\d.]+)A.* ([\d.]+) ([\d.]+)$/', $arc['attributes']['d'], $ends),
        );
        self::assertLessThan(56.0, (float) $ends[1], 'bent back: left of the pivot');
        self::assertGreaterThan(56.0, (float) $ends[3], 'bent: right of it');
    }

    public function testTheOtherHandAndTheLastTimeHaveArcsOfTheirOwn(): void
    {
        $history = [];
        foreach (
            [['2026-01-01', 40.0, 80.0], ['2026-02-01', 20.0, 85.0]] as [$day, $straight, $bent]
        ) {
            array_push($history, ...$this->joint(Side::Right, $straight, $bent, $day)->current());
        }
        $chart = JointArcs::ofDigit(
            new Readings([...$history, ...$this->joint(Side::Left, 0.0, 90.0)->current()]),
            Side::Right,
            Digit::Index,
        );

        self::assertNotNull($chart);
        self::assertStringContainsString('other hand 0° to 90°', Said::of($chart->description));
        self::assertStringContainsString('active 20° to 85°', Said::of($chart->description));
        self::assertStringContainsString('last time 40° to 80°', Said::of($chart->description));
    }

    public function testTheMapShowsEveryShareAsAFigure(): void
    {
        $chart = IndependenceMap::from(
            Independence::inDegrees(
                [
                    'ring' => [
                        'thumb' => 0.0,
                        'index' => 0.0,
                        'middle' => 24.0,
                        'ring' => 60.0,
                        'little' => 60.0,
                    ],
                ],
            ),
            Side::Left,
        );

        self::assertNotNull($chart);
        $texts = array_column($chart->marks, 'text');
        self::assertContains('40', $texts);
        self::assertContains('100', $texts);
        self::assertContains('–', $texts, 'what was not asked is no zero');
        self::assertStringContainsString(': ring 0.65.', Said::of($chart->description));
        self::assertNull(IndependenceMap::from(Independence::inDegrees([]), Side::Left));
    }

    public function testATrendShowsTheBandInsideWhichAChangeIsNone(): void
    {
        $kind = Cases::catalogue()->vocabulary->kinds->find('wrist_extension');
        self::assertNotNull($kind);
        $history = [$this->reading('2026-01-01', 10.0), $this->reading('2026-02-01', 13.0)];
        $srd = RealDifference::from($kind, Repeats::from([]), true, false);
        $chart = Trend::from(
            'Wrist',
            '°',
            $history,
            $srd,
            injectedOn: new \DateTimeImmutable('2026-01-15'),
        );

        self::assertCount(1, self::marks($chart, 'rect', 'real-band'));
        self::assertCount(1, self::marks($chart, 'line', 'injection'));
        self::assertStringContainsString(
            'a difference under 5° is no real change (default)',
            Said::of($chart->description),
        );
        self::assertStringContainsString('before, weeks 3 to 6', Said::of($chart->description));
        self::assertCount(
            0,
            self::marks(
                Trend::from('Pegs', 's', $history, null, injectedOn: null),
                'rect',
                'real-band',
            ),
            'without repeats no band is claimed',
        );
    }

    public function testTheSpectrumMarksAClearPeakOnly(): void
    {
        $noise = new Noise(5);
        $clear = SpectrumPlot::from(Steadiness::from($noise->tremor(5.2, 1.0, 20.0, 0.05)), 'Arms out');
        self::assertNotNull($clear);
        self::assertCount(1, self::marks($clear, 'line', 'release'));
        self::assertStringContainsString('Shakes 5.2 times a second', Said::of($clear->description));
        $idle = SpectrumPlot::from(Steadiness::from($noise->idle(20.0)), 'Arms out');
        self::assertNotNull($idle);
        self::assertCount(0, self::marks($idle, 'line', 'release'));
        self::assertNull(SpectrumPlot::from(Steadiness::from($noise->idle(2.0)), 'Too short'));
    }

    public function testTwoSheetsAreDrawnToTheSameScale(): void
    {
        $sheet = static fn (float $y): Sheet => new Sheet(
            [
                [new InkPoint(0.0, 100.0, $y), new InkPoint(10.0, 300.0, $y)],
                [new InkPoint(20.0, 200.0, $y)],
            ],
        );
        $chart = InkChart::from(
            'Line',
            'Says.',
            $sheet(210.0),
            new LineGuide(100.0, 200.0, 300.0, 200.0),
            earlier: $sheet(190.0),
        );

        self::assertNotNull($chart);
        $y = static fn (string $class): float => (float) explode(
            ',',
            explode(' ', self::marks($chart, 'polyline', $class)[0]['attributes']['points'])[0],
        )[1];
        self::assertEqualsWithDelta(
            $y('guide-line') - $y('before-line'),
            $y('after-line') - $y('guide-line'),
            0.2,
        );
        self::assertGreaterThan(
            $y('guide-line'),
            $y('after-line'),
            'down on the screen is down in the picture',
        );
        self::assertCount(
            2,
            self::marks($chart, 'circle', 'active-dot'),
            'a touch without a movement is a dot',
        );
        self::assertNull(InkChart::from('Empty', '', new Sheet([]), null));
    }

    /** @return list<array{tag: string, attributes: array<string, string>, text: Phrase|string}> */
    private static function marks(Chart $chart, string $tag, string $class): array
    {
        return array_values(
            array_filter(
                $chart->marks,
                static fn (array $m): bool => $m['tag'] === $tag && (
                    $m['attributes']['class'] ?? ''
                ) === $class,
            ),
        );
    }

    /** @param array<int, float> $percents */
    private function openings(array $percents): Readings
    {
        return new Readings(
            array_map(
                static fn (int $angle, float $percent): Reading => new Reading(
                    'opening',
                    Side::Right,
                    Mode::Active,
                    (string) $angle,
                    value: $percent,
                    on: new \DateTimeImmutable('2026-01-05'),
                ),
                array_keys($percents),
                $percents,
            ),
        );
    }

    private function joint(
        Side $side,
        float $straight,
        float $bent,
        string $day = '2026-02-01',
    ): Readings {
        return new Readings([
            new Reading(
                'index_mcp_extension',
                $side,
                Mode::Active,
                null,
                value: $straight,
                on: new \DateTimeImmutable($day),
            ),
            new Reading(
                'index_mcp_flexion',
                $side,
                Mode::Active,
                null,
                value: $bent,
                on: new \DateTimeImmutable($day),
            ),
        ]);
    }

    private function reading(string $day, float $value): Reading
    {
        return new Reading(
            'wrist_extension',
            Side::Right,
            Mode::Active,
            null,
            value: $value,
            on: new \DateTimeImmutable($day, new \DateTimeZone('UTC')),
        );
    }
}
