<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\HandState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** Opening against wrist angle, active and passive, with the angle at which the fingers let go. */
final class OpeningCurve
{
    public static function from(Readings $readings, Side $side): ?Chart
    {
        $hand = new HandState($readings, $side);
        $plot = (new Plot(-65.0, 35.0, 0.0, 100.0))
            ->across(
                [-60 => '-60°', -30 => '-30°', 0 => '0°', 30 => '+30°'],
                new Phrase('chart.wrist_angle'),
            )
            ->up(
                [0 => '0', 20 => '20', 40 => '40', 60 => '60', 80 => '80', 100 => '100'],
                new Phrase('chart.opening_share'),
            )
            ->level(Opening::FUNCTIONAL_PERCENT, 'limit');
        $says = [];
        foreach (
            [
                [Mode::Passive, 'passive', new Phrase('chart.can_be_opened')],
                [Mode::Active, 'active', new Phrase('chart.opens_by_itself')],
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
            $lets = match (true) {
                null === $release => new Phrase('chart.release_unknown'),
                is_nan($release) => new Phrase(
                    'chart.release_never',
                    ['percent' => (int) Opening::FUNCTIONAL_PERCENT],
                ),
                (float) array_key_last($curve) === $release => new Phrase(
                    'chart.release_or_more',
                    ['angle' => self::signed($release)],
                ),
                default => new Phrase('chart.release', ['angle' => self::signed($release)]),
            };
            if (null !== $release && !is_nan($release) && Mode::Active === $mode) {
                $plot->upright($release, 'release', $lets);
            }
            $says[] = new Phrase('chart.curve.'.$class, [
                'points' => Joint::Comma->joining(array_map(
                    static fn (int $angle, float $percent): Phrase => new Phrase('chart.opening_at', [
                        'percent' => (int) round($percent),
                        'angle' => self::signed((float) $angle),
                    ]),
                    array_keys($curve),
                    array_values($curve),
                )),
                'release' => $lets,
            ]);
        }

        return [] === $says
            ? null
            : $plot->chart(
                new Phrase('chart.opening', ['side' => $side->value]),
                Joint::Sentences->joining($says),
            );
    }

    private static function signed(float $degrees): string
    {
        return 0.0 === round($degrees) ? '0°' : \sprintf('%+.0f°', $degrees);
    }
}
