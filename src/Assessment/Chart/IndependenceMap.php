<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/**
 * Who moves along with whom: asked finger by row, moving finger by column. The figure stands in every square: shade
 * alone says nothing.
 */
final class IndependenceMap
{
    private const CELL = 38.0;

    public static function from(Independence $independence, Side $side): ?Chart
    {
        $marks = $says = [];
        $isAny = false;
        foreach (Digit::cases() as $column => $moving) {
            $marks[] = [
                'tag' => 'text',
                'attributes' => [
                    'class' => 'axis',
                    'x' => (string) (66 + self::CELL * ($column + 0.5)),
                    'y' => '14',
                    'text-anchor' => 'middle',
                ],
                'text' => ucfirst($moving->value),
            ];
        }
        foreach (Digit::cases() as $row => $asked) {
            $y = 20 + self::CELL * $row;
            $marks[] = [
                'tag' => 'text',
                'attributes' => [
                    'class' => 'axis',
                    'x' => '60',
                    'y' => (string) ($y + 24),
                    'text-anchor' => 'end',
                ],
                'text' => ucfirst($asked->value),
            ];
            foreach (Digit::cases() as $column => $moving) {
                $share = $independence->map[$asked->value][$moving->value] ?? null;
                $isAny = $isAny || null !== $share;
                $x = 66 + self::CELL * $column;
                $marks[] = [
                    'tag' => 'rect',
                    'attributes' => [
                        'class' => null === $share ? 'cell-empty' : 'cell',
                        'fill-opacity' => null === $share
                            ? '1'
                            : (string) round(min(1.0, $share) * 0.75, 2),
                        'x' => (string) $x,
                        'y' => (string) $y,
                        'width' => (string) self::CELL,
                        'height' => (string) self::CELL,
                    ],
                    'text' => '',
                ];
                $marks[] = [
                    'tag' => 'text',
                    'attributes' => [
                        'class' => 'cell-text',
                        'x' => (string) ($x + self::CELL / 2),
                        'y' => (string) ($y + 24),
                        'text-anchor' => 'middle',
                    ],
                    'text' => null === $share ? '–' : (string) round(100 * $share),
                ];
            }
            $index = $independence->index[$asked->value] ?? null;
            $marks[] = [
                'tag' => 'text',
                'attributes' => [
                    'class' => 'cell-text',
                    'x' => (string) (66 + self::CELL * 5 + 30),
                    'y' => (string) ($y + 24),
                    'text-anchor' => 'middle',
                ],
                'text' => null === $index ? '–' : number_format($index, 2),
            ];
            $why = $independence->why[$asked->value] ?? null;
            if (null !== $index) {
                $says[] = new Phrase(
                    'chart.finger_index',
                    ['finger' => $asked->value, 'index' => number_format($index, 2)],
                );
            } elseif (null !== $why && Independence::NOT_MEASURED !== $why->code) {
                $says[] = new Phrase('chart.named', ['name' => $asked->value, 'says' => $why]);
            }
        }
        $marks[] = [
            'tag' => 'text',
            'attributes' => [
                'class' => 'axis',
                'x' => (string) (66 + self::CELL * 5 + 30),
                'y' => '14',
                'text-anchor' => 'middle',
            ],
            'text' => new Phrase('chart.index'),
        ];

        return $isAny
            ? new Chart(
                new Phrase('chart.independence', ['side' => $side->value]),
                new Phrase('chart.independence_says', ['fingers' => Joint::Semicolon->joining($says)]),
                66 + self::CELL * 5 + 62,
                20 + self::CELL * 5 + 4,
                marks: $marks,
            )
            : null;
    }
}
