<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Measure\Change\InjectionPhase;
use HandGarden\Core\Measure\Change\RealDifference;
use HandGarden\Core\Measure\Reading;

/** A measure over time, with the band inside which a change is no real one. */
final class Trend
{
    /**
     * @param non-empty-list<Reading> $history numbers only, oldest first
     * @param string                  $basis   where the real difference comes from, in words
     * @param RealDifference|null     $srd     about the first value; null: needs repeats
     */
    public static function from(
        string $title,
        string $unit,
        array $history,
        ?RealDifference $srd,
        ?\DateTimeImmutable $injectedOn,
        string $basis = '',
    ): Chart {
        $values = array_map(
            static fn (Reading $r): float => \is_float($r->value) ? $r->value : 0.0,
            $history,
        );
        $days = array_map(
            static fn (Reading $r): float => (float) intdiv($r->on->getTimestamp(), 86400),
            $history,
        );
        $first = $values[0];
        $last = $values[\count($values) - 1];
        $low = min([...$values, $first - ($srd->value ?? 0.0)]);
        $high = max([...$values, $first + ($srd->value ?? 0.0)]);
        $margin = max(1.0, 0.1 * ($high - $low));
        $from = $days[0];
        $to = max($from + 1.0, $days[\count($days) - 1]);
        $room = 0.04 * ($to - $from);
        $plot = new Plot(
            $from - $room,
            $to + $room,
            $low - $margin,
            $high + $margin,
            width: 300.0,
            height: 170.0,
        );
        $says = \sprintf(
            'From %s on %s to %s on %s',
            self::number($first, $unit),
            $history[0]->on->format('j M'),
            self::number($last, $unit),
            $history[\count($history) - 1]->on->format('j M'),
        );
        if (null !== $srd) {
            $plot->band($first - $srd->value, $first + $srd->value, 'real-band');
            $says .= \sprintf(
                '; a difference under %s is no real change (%s)',
                self::number($srd->value, $unit),
                $basis,
            );
        }
        if (null !== $injectedOn) {
            $day = (float) intdiv($injectedOn->getTimestamp(), 86400);
            if ($day >= $from && $day <= $to) {
                $plot->upright($day, 'injection', 'injection');
            }
            $says .= '; phases of the tone injection: '.implode(
                ', ',
                array_unique(
                    array_map(
                        static fn (Reading $r): string => InjectionPhase::at($injectedOn, $r->on)->value,
                        $history,
                    ),
                ),
            );
        }
        $plot->across(
            [
                (string) $from => $history[0]->on->format('j M'),
                (string) $to => $history[\count($history) - 1]->on->format('j M'),
            ],
            '',
        )
            ->up(
                [(string) $first => (string) round($first, 1)] + (
                    $last === $first ? [] : [(string) $last => (string) round($last, 1)]
                ),
                $unit,
            )
            ->line(
                array_map(static fn (float $d, float $v): array => [$d, $v], $days, $values),
                'active-line',
            );
        foreach ($values as $i => $value) {
            $plot->dot($days[$i], $value, 'active-dot', 3.5);
        }

        return $plot->chart($title, $says.'.');
    }

    private static function number(float $value, string $unit): string
    {
        return round($value, 1).$unit;
    }
}
