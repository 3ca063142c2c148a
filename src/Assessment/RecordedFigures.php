<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Taken;

/** The figures of a recording that are followed over time, as readings. */
final class RecordedFigures
{
    private const OF_INK = [
        'spiral' => ['rms_mm' => 'spiral_off_mm'],
        'line' => ['rms_mm' => 'line_off_mm'],
        'pattern' => ['height_trend_percent' => 'letters_shrink_pct'],
        'tapping' => ['taps' => 'screen_taps_n', 'rhythm_cv_percent' => 'screen_rhythm_pct'],
    ];
    private const OF_TRACE = ['peak_hz' => 'tremor_hz', 'half_swing_mm' => 'tremor_half_mm'];

    public function __construct(
        private readonly CatalogueStore $catalogue,
    ) {
    }

    /**
     * @param array<string, mixed> $found
     *
     * @return list<Reading>
     */
    public function ofInk(
        InkTask $task,
        array $found,
        Side $side,
        \DateTimeImmutable $day,
        Taken $taken,
    ): array {
        return $this->read(
            self::OF_INK[$task->value] ?? [],
            $found,
            $side,
            null,
            day: $day,
            taken: $taken,
        );
    }

    /**
     * @param array<string, mixed> $found
     *
     * @return list<Reading>
     */
    public function ofTrace(
        string $action,
        array $found,
        Side $side,
        \DateTimeImmutable $day,
        Taken $taken,
    ): array {
        return $this->read(self::OF_TRACE, $found, $side, $action, day: $day, taken: $taken);
    }

    /**
     * @param array<string, string> $codes
     * @param array<string, mixed>  $found
     *
     * @return list<Reading>
     */
    private function read(
        array $codes,
        array $found,
        Side $side,
        ?string $argument,
        \DateTimeImmutable $day,
        Taken $taken,
    ): array {
        $kinds = $this->catalogue->get()->vocabulary->kinds;
        $readings = [];
        foreach ($codes as $key => $code) {
            $value = $found[$key] ?? null;
            if (
                (\is_float($value) || \is_int($value))
                && true === $kinds->find($code)?->accepts((float) $value)
            ) {
                $readings[] = new Reading(
                    $code,
                    $side,
                    null,
                    $argument,
                    value: (float) $value,
                    on: $day,
                    byEye: false,
                    taken: $taken,
                );
            }
        }

        return $readings;
    }
}
