<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** A dose as a client says it: what is done, how often, and with how many rests between. No sign for times. */
final class PlainDose
{
    private const IN_SECONDS_UNDER = 60;

    public static function of(Dose $dose): Joined
    {
        $parts = [self::work($dose)];
        if (1 !== $dose->parts) {
            $parts[] = new Phrase('plain_dose.parts', ['parts' => $dose->parts]);
        }
        if (1 !== $dose->passes) {
            $parts[] = new Phrase('plain_dose.passes', ['passes' => $dose->passes]);
        }
        if ($dose->loadKilograms > 0.0) {
            $parts[] = new Phrase('dose.load', ['kilograms' => (string) $dose->loadKilograms]);
        }
        if (1 !== $dose->sets && !self::isOneASet($dose)) {
            $parts[] = new Phrase('plain_dose.sets', ['sets' => $dose->sets]);
        }

        return Joint::Comma->joining([...$parts, ...DoseWords::levels($dose->levels)]);
    }

    /** Four sets of one are four times, to whoever does them. */
    private static function isOneASet(Dose $dose): bool
    {
        return 1 === $dose->repetitions && $dose->holdSeconds > 0;
    }

    private static function work(Dose $dose): Phrase
    {
        return match (true) {
            $dose->holdSeconds > 0 => new Phrase('plain_dose.hold', [
                'seconds' => $dose->holdSeconds,
                'times' => self::isOneASet($dose) ? $dose->sets : $dose->repetitions,
            ]),
            1 === $dose->repetitions => self::duration($dose->moveSeconds),
            default => new Phrase('plain_dose.times', ['times' => $dose->repetitions]),
        };
    }

    private static function duration(int $seconds): Phrase
    {
        return $seconds < self::IN_SECONDS_UNDER
            ? new Phrase('plain_dose.seconds', ['seconds' => $seconds])
            : new Phrase('plain_dose.minutes', ['minutes' => (int) round($seconds / 60)]);
    }
}
