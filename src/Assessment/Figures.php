<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\FingerMotion;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Readings;

/** What readings add up to, as rows for a table: total motion, lag and opening of every digit of a hand. */
final class Figures
{
    /**
     * @return list<
     *     array{digit: string, active: string, passive: string, lag: string, opening: string, ask: string}
     * >
     */
    public static function for(Readings $readings, Side $side): array
    {
        $rows = [];
        foreach (Digit::cases() as $digit) {
            $active = FingerMotion::from($readings, $side, $digit, Mode::Active);
            $passive = FingerMotion::from($readings, $side, $digit, Mode::Passive);
            $lags = array_filter(
                $active->lagDegrees,
                static fn (?float $l): bool => null !== $l && $l > 0.0,
            );
            $rows[] = [
                'digit' => ucfirst($digit->value),
                'active' => self::total($active),
                'passive' => self::total($passive),
                'lag' => [] === $lags
                    ? ''
                    : implode(
                        ', ',
                        array_map(
                            static fn (
                                string $joint,
                                ?float $l,
                            ): string => strtoupper($joint).' '.round((float) $l).'°',
                            array_keys($lags),
                            $lags,
                        ),
                    ),
                'opening' => null === $active->openingPercent
                    ? ''
                    : round($active->openingPercent).' %',
                'ask' => [] === $active->toRemeasure
                    ? ''
                    : 'Passive is less than active at '.implode(
                        ', ',
                        $active->toRemeasure,
                    ).': measure again',
            ];
        }

        return $rows;
    }

    public static function opening(Readings $readings, Side $side, Mode $mode): string
    {
        $opening = Opening::ofHand($readings, $side, $mode);

        return null === $opening || !\is_float($opening->value) ? '' : round($opening->value).' %';
    }

    private static function total(FingerMotion $motion): string
    {
        if (null !== $motion->totalDegrees) {
            return round($motion->totalDegrees).'°';
        }

        return match (true) {
            \count($motion->missing) === 2 * \count($motion->digit->hinges()) => '–',
            \count($motion->missing) > 2 => \sprintf('needs %d readings', \count($motion->missing)),
            default => 'needs '.implode(', ', $motion->missing),
        };
    }
}
