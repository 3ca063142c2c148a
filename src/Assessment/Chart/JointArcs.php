<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\UsualMotion;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/**
 * The motion of every joint of a digit as arcs about its pivot: straight is up, bending goes to the right, bending back
 * to the left. Inside out: last time, active over passive, the other hand; a tick at the usual end.
 */
final class JointArcs
{
    private const DIAL = 112.0;
    private const SCALE = ['last' => 26.0, 'passive' => 34.0, 'active' => 34.0, 'other' => 42.0];

    public static function ofDigit(Readings $readings, Side $side, Digit $digit): ?Chart
    {
        $dials = [];
        foreach ($digit->hinges() as $joint) {
            $code = $digit->value.'_'.$joint->value;
            $dials[] = [
                $joint->label(),
                $code.'_extension',
                $code.'_flexion',
                [0.0, UsualMotion::bentDegrees($digit, $joint)],
                1.0,
            ];
        }

        return self::chart($readings, $side, $digit->value, $dials);
    }

    public static function ofWrist(Readings $readings, Side $side): ?Chart
    {
        return self::chart(
            $readings,
            $side,
            new Phrase('chart.wrist'),
            [
                [
                    new Phrase('chart.down_to_the_right'),
                    'wrist_extension',
                    'wrist_flexion',
                    UsualMotion::wristDegrees(),
                    -1.0,
                ],
            ],
        );
    }

    /**
     * @param list<array{Phrase|string, string, string, array{float, float}, float}> $dials name, codes of both ends,
     *    usual ends, sign that makes bending positive
     */
    private static function chart(Readings $readings, Side $side, Phrase|string $name, array $dials): ?Chart
    {
        $marks = $says = [];
        foreach ($dials as $place => [$label, $extension, $flexion, $usual, $sign]) {
            $cx = self::DIAL * ($place + 0.5);
            $cy = 58.0;
            foreach ($usual as $end) {
                $marks[] = self::tick($cx, $cy, $sign * $end);
            }
            $words = [];
            foreach (
                [
                    ['other', $side->opposite(), Mode::Active, 0],
                    ['passive', $side, Mode::Passive, 0],
                    ['active', $side, Mode::Active, 0],
                    ['last', $side, Mode::Active, 1],
                ] as [$class, $of, $mode, $ago]
            ) {
                $from = self::value($readings->history($extension, $of, $mode), $ago);
                $to = self::value($readings->history($flexion, $of, $mode), $ago);
                if (null === $from || null === $to) {
                    continue;
                }
                $marks[] = [
                    'tag' => 'path',
                    'attributes' => [
                        'class' => 'arc-'.$class,
                        'd' => self::arc(
                            $cx,
                            $cy,
                            self::SCALE[$class],
                            $sign * $from,
                            to: $sign * $to,
                        ),
                    ],
                    'text' => '',
                ];
                $words[] = new Phrase(
                    'chart.arc.'.$class,
                    ['from' => (int) round($from), 'to' => (int) round($to)],
                );
            }
            $marks[] = [
                'tag' => 'circle',
                'attributes' => [
                    'class' => 'pivot',
                    'cx' => (string) $cx,
                    'cy' => (string) $cy,
                    'r' => '3',
                ],
                'text' => '',
            ];
            $marks[] = [
                'tag' => 'text',
                'attributes' => [
                    'class' => 'axis',
                    'x' => (string) $cx,
                    'y' => '120',
                    'text-anchor' => 'middle',
                ],
                'text' => $label,
            ];
            if ([] !== $words) {
                $says[] = new Phrase(
                    'chart.named',
                    ['name' => $label, 'says' => Joint::Comma->joining($words)],
                );
            }
        }

        return [] === $says
            ? null
            : new Chart(
                new Phrase('chart.joints', ['side' => $side->value, 'part' => $name]),
                new Phrase('chart.sentence', ['says' => Joint::Semicolon->joining($says)]),
                self::DIAL * 3.0,
                126.0,
                marks: $marks,
            );
    }

    /** @param list<Reading> $history newest first */
    private static function value(array $history, int $ago): ?float
    {
        $value = ($history[$ago] ?? null)?->value;

        return \is_float($value) ? $value : null;
    }

    private static function arc(float $cx, float $cy, float $radius, float $from, float $to): string
    {
        [$x1, $y1] = self::at($cx, $cy, $radius, min($from, $to));
        [$x2, $y2] = self::at($cx, $cy, $radius, max($from, $to));

        return \sprintf(
            'M%s %sA%s %s 0 %d 1 %s %s',
            $x1,
            $y1,
            $radius,
            $radius,
            abs($to - $from) > 180.0 ? 1 : 0,
            $x2,
            $y2,
        );
    }

    /** @return array{tag: string, attributes: array<string, string>, text: string} */
    private static function tick(float $cx, float $cy, float $degrees): array
    {
        [$x1, $y1] = self::at($cx, $cy, 46.0, $degrees);
        [$x2, $y2] = self::at($cx, $cy, 52.0, $degrees);

        return [
            'tag' => 'line',
            'attributes' => [
                'class' => 'usual-tick',
                'x1' => (string) $x1,
                'y1' => (string) $y1,
                'x2' => (string) $x2,
                'y2' => (string) $y2,
            ],
            'text' => '',
        ];
    }

    /** @return array{float, float} */
    private static function at(float $cx, float $cy, float $radius, float $degrees): array
    {
        $angle = deg2rad($degrees);

        return [round($cx + $radius * sin($angle), 1), round($cy - $radius * cos($angle), 1)];
    }
}
