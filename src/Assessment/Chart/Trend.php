<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Measure\Change\InjectionPhase;
use HandGarden\Core\Measure\Change\RealDifference;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** A measure over time, with the band inside which a change is no real one. */
final class Trend
{
    /**
     * @param non-empty-list<Reading> $history numbers only, oldest first
     * @param RealDifference|null     $srd     about the first value; null: needs repeats
     * @param list<Reading>           $other   of the other hand in the same time, oldest first
     */
    public static function from(
        string $title,
        string $unit,
        array $history,
        ?RealDifference $srd,
        ?\DateTimeImmutable $injectedOn,
        array $other = [],
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
        $beside = array_map(
            static fn (Reading $r): float => \is_float($r->value) ? $r->value : 0.0,
            $other,
        );
        $low = min([...$values, ...$beside, $first - ($srd->value ?? 0.0)]);
        $high = max([...$values, ...$beside, $first + ($srd->value ?? 0.0)]);
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
        $says = [new Phrase('chart.trend', [
            'first' => self::number($first, $unit),
            'first_on' => Phrase::day($history[0]->on),
            'last' => self::number($last, $unit),
            'last_on' => Phrase::day($history[\count($history) - 1]->on),
        ])];
        if (null !== $srd) {
            $plot->band($first - $srd->value, $first + $srd->value, 'real-band');
            $says[] = new Phrase('chart.no_real_change', [
                'least' => self::number($srd->value, $unit),
                'basis' => $srd->from,
            ]);
        }
        if ([] !== $other) {
            $says[] = new Phrase('chart.other_hand', [
                'first' => self::number($beside[0], $unit),
                'last' => self::number($beside[\count($beside) - 1], $unit),
            ]);
            $plot->line(
                array_map(
                    static fn (Reading $r, float $v): array => [
                        (float) intdiv($r->on->getTimestamp(), 86400),
                        $v,
                    ],
                    $other,
                    $beside,
                ),
                'other-line',
            );
        }
        if (null !== $injectedOn) {
            $day = (float) intdiv($injectedOn->getTimestamp(), 86400);
            if ($day >= $from && $day <= $to) {
                $plot->upright($day, 'injection', new Phrase('chart.injection'));
            }
            $phases = array_unique(array_map(
                static fn (Reading $r): string => InjectionPhase::at($injectedOn, $r->on)->value,
                $history,
            ));
            $says[] = new Phrase('chart.phases', ['phases' => Joint::Comma->joining(array_values($phases))]);
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

        return $plot->chart(
            $title,
            new Phrase('chart.sentence', ['says' => Joint::Semicolon->joining($says)]),
        );
    }

    private static function number(float $value, string $unit): string
    {
        return round($value, 1).$unit;
    }
}
