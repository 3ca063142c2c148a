<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Words\Phrase;

/** Power against frequency, with the peak where there is a clear one. */
final class SpectrumPlot
{
    public static function from(Steadiness $found, string $title): ?Chart
    {
        $spectrum = $found->spectrum;
        if (null === $spectrum) {
            return null;
        }
        $points = [];
        foreach ($spectrum->power as $bin => $power) {
            $frequency = $bin * $spectrum->stepHz;
            if ($frequency >= 1.0 && $frequency <= 14.0) {
                $points[] = [$frequency, $power];
            }
        }
        if ([] === $points) {
            return null;
        }
        $top = max(array_column($points, 1));
        $scale = 0.0 < $top ? 100.0 / $top : 0.0;
        $plot = (new Plot(1.0, 14.0, 0.0, 105.0))
            ->across(
                [2 => '2', 4 => '4', 6 => '6', 8 => '8', 10 => '10', 12 => '12'],
                new Phrase('chart.frequency'),
            )
            ->up([0 => '0', 50 => '50', 100 => '100'], new Phrase('chart.share_of_the_highest'))
            ->line(
                array_map(static fn (array $p): array => [$p[0], $p[1] * $scale], $points),
                'active-line',
            );
        if (null !== $found->peakHz) {
            $plot->upright($found->peakHz, 'release', \sprintf('%.1f Hz', $found->peakHz));
        }

        return $plot->chart($title, $found->words());
    }
}
