<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Measure\Ink\Guide;
use HandGarden\Core\Measure\Ink\Sheet;

/** What was drawn, drawn again; two sheets of one task lie over each other, the earlier one dashed. */
final class InkChart
{
    private const WIDTH = 460.0;
    private const MARGIN = 14.0;

    public static function from(
        string $title,
        string $says,
        Sheet $sheet,
        ?Guide $guide,
        ?Sheet $earlier = null,
    ): ?Chart {
        $points = [];
        foreach ([$sheet, $earlier] as $one) {
            foreach ($one->strokes ?? [] as $stroke) {
                foreach ($stroke as $p) {
                    $points[] = [$p->x, $p->y];
                }
            }
        }
        array_push($points, ...($guide?->outline() ?? []));
        if ([] === $points) {
            return null;
        }
        $left = min(array_column($points, 0));
        $top = min(array_column($points, 1));
        $scale = (self::WIDTH - 2 * self::MARGIN) / max(
            60.0,
            max(array_column($points, 0)) - $left,
            1.4 * (max(array_column($points, 1)) - $top),
        );
        $place = static fn (float $x, float $y): string => round(
            self::MARGIN + ($x - $left) * $scale,
            1,
        ).','.round(self::MARGIN + ($y - $top) * $scale, 1);
        $marks = [];
        if (null !== $guide) {
            $marks[] = self::line(
                'guide-line',
                array_map(static fn (array $p): string => $place($p[0], $p[1]), $guide->outline()),
            );
        }
        foreach ([['before-line', $earlier], ['after-line', $sheet]] as [$class, $one]) {
            foreach ($one->strokes ?? [] as $stroke) {
                if (1 === \count($stroke)) {
                    [$x, $y] = explode(',', $place($stroke[0]->x, $stroke[0]->y));
                    $marks[] = [
                        'tag' => 'circle',
                        'attributes' => [
                            'class' => 'active-dot',
                            'cx' => $x,
                            'cy' => $y,
                            'r' => '2.5',
                        ],
                        'text' => '',
                    ];
                } else {
                    $marks[] = self::line(
                        $class,
                        array_map(static fn ($p): string => $place($p->x, $p->y), $stroke),
                    );
                }
            }
        }
        $height = 2 * self::MARGIN + (max(array_column($points, 1)) - $top) * $scale;

        return new Chart($title, $says, self::WIDTH, max(60.0, round($height)), marks: $marks);
    }

    /**
     * @param list<string> $points
     *
     * @return array{tag: string, attributes: array<string, string>, text: string}
     */
    private static function line(string $class, array $points): array
    {
        return [
            'tag' => 'polyline',
            'attributes' => ['class' => $class, 'points' => implode(' ', $points)],
            'text' => '',
        ];
    }
}
