<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;

/** Puts values on paper: two axes, lines, dots, bands. Collects marks until it is asked for the chart. */
final class Plot
{
    private const LEFT = 44.0;
    private const RIGHT = 12.0;
    private const TOP = 12.0;
    private const BOTTOM = 34.0;

    /** @var list<array{tag: string, attributes: array<string, string>, text: Phrase|string}> */
    private array $marks = [];

    public function __construct(
        private readonly float $xMin,
        private readonly float $xMax,
        private readonly float $yMin,
        private readonly float $yMax,
        private readonly float $width = 420.0,
        private readonly float $height = 230.0,
    ) {
    }

    /** @param array<int|string, string> $ticks label by value */
    public function across(array $ticks, Phrase|string $says): self
    {
        foreach ($ticks as $value => $label) {
            $x = $this->x((float) $value);
            $this->mark(
                'line',
                [
                    'class' => 'grid',
                    'x1' => $x,
                    'x2' => $x,
                    'y1' => self::TOP,
                    'y2' => $this->height - self::BOTTOM,
                ],
            );
            $this->text(
                $x,
                $this->height - self::BOTTOM + 13.0,
                $label,
                'middle',
            );
        }
        $this->text(
            (self::LEFT + $this->width - self::RIGHT) / 2.0,
            $this->height - 5.0,
            $says,
            'middle',
        );

        return $this;
    }

    /** @param array<int|string, string> $ticks label by value */
    public function up(array $ticks, Phrase|string $says): self
    {
        foreach ($ticks as $value => $label) {
            $y = $this->y((float) $value);
            $this->mark(
                'line',
                [
                    'class' => 'grid',
                    'x1' => self::LEFT,
                    'x2' => $this->width - self::RIGHT,
                    'y1' => $y,
                    'y2' => $y,
                ],
            );
            $this->text(
                self::LEFT - 5.0,
                $y + 4.0,
                $label,
                'end',
            );
        }
        $this->mark(
            'text',
            [
                'class' => 'axis',
                'x' => 0.0,
                'y' => 0.0,
                'text-anchor' => 'middle',
                'transform' => \sprintf(
                    'translate(11 %s) rotate(-90)',
                    round(
                        (self::TOP + $this->height - self::BOTTOM) / 2.0,
                        1,
                    ),
                ),
            ],
            $says,
        );

        return $this;
    }

    /** @param list<array{float, float}> $points */
    public function line(array $points, string $class): self
    {
        if (\count($points) > 1) {
            $this->mark(
                'polyline',
                [
                    'class' => $class,
                    'points' => implode(
                        ' ',
                        array_map(
                            fn (array $p): string => round($this->x($p[0]), 1).','.round(
                                $this->y($p[1]),
                                1,
                            ),
                            $points,
                        ),
                    ),
                ],
            );
        }

        return $this;
    }

    public function dot(float $x, float $y, string $class, float $radius = 4.0): self
    {
        return $this->mark(
            'circle',
            [
                'class' => $class,
                'cx' => $this->x($x),
                'cy' => $this->y($y),
                'r' => $radius,
            ],
        );
    }

    public function band(float $from, float $to, string $class): self
    {
        $top = $this->y(
            min($this->yMax, max($from, $to)),
        );
        $bottom = $this->y(
            max($this->yMin, min($from, $to)),
        );

        return $this->mark(
            'rect',
            [
                'class' => $class,
                'x' => self::LEFT,
                'width' => $this->width - self::LEFT - self::RIGHT,
                'y' => $top,
                'height' => max(0.0, $bottom - $top),
            ],
        );
    }

    /** A time that is shaded, with words at its top. */
    public function phase(float $from, float $to, string $class, Phrase|string $says): self
    {
        $left = $this->x(
            max($this->xMin, $from),
        );
        $right = $this->x(
            min($this->xMax, $to),
        );
        if ($right <= $left) {
            return $this;
        }
        $this->mark(
            'rect',
            [
                'class' => $class,
                'x' => $left,
                'width' => $right - $left,
                'y' => self::TOP,
                'height' => $this->height - self::TOP - self::BOTTOM,
            ],
        );

        return $this->text(
            $left + 3.0,
            self::TOP + 10.0,
            $says,
            'start',
        );
    }

    public function bar(float $from, float $to, float $height, string $class): self
    {
        $top = $this->y(
            min($this->yMax, $height),
        );

        return $this->mark(
            'rect',
            [
                'class' => $class,
                'x' => $this->x($from),
                'width' => max(
                    0.0,
                    $this->x($to) - $this->x($from),
                ),
                'y' => $top,
                'height' => max(
                    0.0,
                    $this->y($this->yMin) - $top,
                ),
            ],
        );
    }

    public function upright(float $x, string $class, Phrase|string $says = ''): self
    {
        $at = $this->x($x);
        $this->mark(
            'line',
            [
                'class' => $class,
                'x1' => $at,
                'x2' => $at,
                'y1' => self::TOP,
                'y2' => $this->height - self::BOTTOM,
            ],
        );

        return '' === $says
            ? $this
            : $this->text(
                $at + 4.0,
                self::TOP + 10.0,
                $says,
                'start',
            );
    }

    public function level(float $y, string $class, Phrase|string $says = ''): self
    {
        $at = $this->y($y);
        $this->mark(
            'line',
            [
                'class' => $class,
                'y1' => $at,
                'y2' => $at,
                'x1' => self::LEFT,
                'x2' => $this->width - self::RIGHT,
            ],
        );

        return '' === $says
            ? $this
            : $this->text(
                $this->width - self::RIGHT - 2.0,
                $at - 4.0,
                $says,
                'end',
            );
    }

    public function note(float $x, float $y, Phrase|string $says, string $anchor = 'start'): self
    {
        return $this->text(
            $this->x($x) + ('end' === $anchor ? -7.0 : 7.0),
            $this->y($y) - 5.0,
            $says,
            $anchor,
        );
    }

    public function chart(Phrase|Joined|string $title, Phrase|Joined|string $description): Chart
    {
        return new Chart(
            $title,
            $description,
            $this->width,
            $this->height,
            marks: $this->marks,
        );
    }

    private function text(float $x, float $y, Phrase|string $says, string $anchor): self
    {
        return $this->mark(
            'text',
            [
                'class' => 'axis',
                'x' => $x,
                'y' => $y,
                'text-anchor' => $anchor,
            ],
            $says,
        );
    }

    /** @param array<string, string|float> $attributes */
    private function mark(string $tag, array $attributes, Phrase|string $text = ''): self
    {
        $this->marks[] = [
            'tag' => $tag,
            'attributes' => array_map(
                static fn (string|float $v): string => \is_float($v) ? (string) round($v, 1) : $v,
                $attributes,
            ),
            'text' => $text,
        ];

        return $this;
    }

    private function x(float $value): float
    {
        return self::LEFT + ($value - $this->xMin) / max(1e-9, $this->xMax - $this->xMin) * (
            $this->width - self::LEFT - self::RIGHT
        );
    }

    private function y(float $value): float
    {
        return $this->height - self::BOTTOM - ($value - $this->yMin) / max(
            1e-9,
            $this->yMax - $this->yMin,
        ) * (
            $this->height - self::TOP - self::BOTTOM
        );
    }
}
