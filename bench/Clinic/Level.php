<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;

/** How hard a level is, by where it stands in the catalogue alone. */
final class Level
{
    /** @return array<string, float> 0 (the easiest) to 1 by challenge; -1: the exercise has no such level */
    public static function of(Rung $rung, Dose $dose): array
    {
        $shares = [];
        foreach ($dose->levels->all() as $code => $level) {
            $shares[$code] = -1.0;
            foreach ($rung->dosing->progress as $spec) {
                $at = array_search($level, $spec->levels, true);
                if ($spec->kind->challenge()?->value === $code && false !== $at) {
                    $shares[$code] = $at / max(1, \count($spec->levels) - 1);
                }
            }
        }

        return $shares;
    }

    /** The finger that a hold is for, where one is named. */
    public static function finger(Dose $dose): ?string
    {
        $finger = $dose->levels->all()['finger'] ?? null;

        return \is_string($finger) ? $finger : null;
    }

    public static function areAlike(Dose $a, Dose $b): bool
    {
        return $a->levels->all() === $b->levels->all();
    }

    /** Help is no measure of load. */
    public static function isHarder(Rung $rung, Dose $now, Dose $then): bool
    {
        $before = self::of($rung, $then);
        foreach (self::of($rung, $now) as $code => $share) {
            if ('help' !== $code && $share > ($before[$code] ?? $share)) {
                return true;
            }
        }

        return false;
    }
}
