<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\HandState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Readings;

/** Opening against wrist angle, active and passive, with the angle at which the fingers let go. */
final class OpeningCurve
{
    public static function from(Readings $readings, Side $side): ?Chart
    {
        $hand = new HandState($readings, $side);
        $plot = (new Plot(-65.0, 35.0, 0.0, 100.0))
            ->across(
                [-60 => '-60°', -30 => '-30°', 0 => '0°', 30 => '+30°'],
                'wrist: bent to lifted back',
            )
            ->up(
                [0 => '0', 20 => '20', 40 => '40', 60 => '60', 80 => '80', 100 => '100'],
                'opening, %',
            )
            ->level(Opening::FUNCTIONAL_PERCENT, 'limit');
        $says = [];
        foreach (
            [
                [Mode::Passive, 'passive', 'can be opened'],
                [Mode::Active, 'active', 'opens by itself'],
            ] as [$mode, $class, $words]
        ) {
            $curve = $hand->curve($mode);
            if ([] === $curve) {
                continue;
            }
            ksort($curve);
            $plot->line(
                array_map(
                    static fn (int $angle, float $percent): array => [(float) $angle, $percent],
                    array_keys($curve),
                    $curve,
                ),
                $class.'-line',
            );
            foreach ($curve as $angle => $percent) {
                $plot->dot((float) $angle, $percent, $class.'-dot');
            }
            $plot->note((float) array_key_first($curve), $curve[array_key_first($curve)], $words);
            $release = Opening::releaseAngle($curve);
            $angleWords = match (true) {
                null === $release => 'release angle: measure a second wrist angle',
                is_nan($release) => \sprintf(
                    'stays under %.0f %% at every wrist angle',
                    Opening::FUNCTIONAL_PERCENT,
                ),
                (float) array_key_last($curve) === $release => 'lets go at '
                    .self::signed($release)
                    .' or more',
                default => 'lets go at '.self::signed($release),
            };
            if (null !== $release && !is_nan($release) && Mode::Active === $mode) {
                $plot->upright($release, 'release', $angleWords);
            }
            $says[] = ucfirst($words).': '.implode(
                ', ',
                array_map(
                    static fn (int $angle, float $percent): string => \sprintf(
                        '%.0f %% at %s',
                        $percent,
                        self::signed((float) $angle),
                    ),
                    array_keys($curve),
                    $curve,
                ),
            ).'; '.$angleWords;
        }

        return [] === $says
            ? null
            : $plot->chart(
                ucfirst($side->value).' hand: opening against wrist angle',
                implode('. ', $says).'.',
            );
    }

    private static function signed(float $degrees): string
    {
        return 0.0 === round($degrees) ? '0°' : \sprintf('%+.0f°', $degrees);
    }
}
