<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Whether some dose inside the range of a rung meets a rule of its progress: else it could never grow by it. */
final class Reachable
{
    public static function is(ProgressSpec $spec, DoseRange $range): bool
    {
        $most = [] === $spec->steps ? 0.0 : max($spec->steps);

        return match ($spec->kind) {
            ProgressKind::HoldCount => self::isInside($spec->cap, $range->holdSeconds),
            ProgressKind::Repetitions,
            ProgressKind::ObjectCount => self::isInside($spec->cap, $range->repetitions),
            ProgressKind::Passes => self::isInside($spec->cap, $range->passes),
            ProgressKind::StretchHold => self::isInside($most, $range->holdSeconds),
            ProgressKind::Load => self::isInside($most, $range->loadKilograms)
                && $spec->repetitionsNeeded <= $range->repetitions[1],
            ProgressKind::Review => true, // a therapist decides
            default => \count($spec->levels) > 1,
        };
    }

    /** @param array{int|float, int|float} $limits */
    private static function isInside(int|float $value, array $limits): bool
    {
        return $value >= $limits[0] && $value <= $limits[1];
    }
}
