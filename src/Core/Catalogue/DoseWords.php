<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** A dose in a few words: '2 sets of 5 ×, hold 6 s, soft'. */
final class DoseWords
{
    private const IN_SECONDS_UNDER = 90;

    public static function of(Dose $dose): Joined
    {
        $parts = [self::count($dose)];
        if ($dose->holdSeconds > 0) {
            $parts[] = new Phrase('dose.hold', ['seconds' => $dose->holdSeconds]);
        }
        if ($dose->loadKilograms > 0.0) {
            $parts[] = new Phrase('dose.load', ['kilograms' => (string) $dose->loadKilograms]);
        }

        return Joint::Comma->joining([...$parts, ...self::levels($dose->levels)]);
    }

    /** @return list<Phrase> what makes it harder; as much help as it takes is no word worth */
    public static function levels(Levels $levels): array
    {
        $words = [];
        foreach ($levels->all() as $code => $level) {
            if (Challenge::Help->value !== $code || Challenge::Help->words()[0] !== $level) {
                $words[] = self::level(Challenge::from($code), $level);
            }
        }

        return $words;
    }

    public static function level(Challenge $challenge, int|float|string $level): Phrase
    {
        return new Phrase('level.'.$challenge->value, [
            'level' => \is_string($level) ? str_replace('-', '_', $level) : $level,
            'text' => str_replace('-', '−', (string) $level),
        ]);
    }

    private static function count(Dose $dose): Phrase
    {
        $isTimed = 1 === $dose->repetitions && 0 === $dose->holdSeconds;
        $text = $isTimed
            ? self::duration($dose->moveSeconds)
            : new Phrase('dose.times', ['times' => $dose->repetitions]);
        if (1 !== $dose->parts) {
            $text = new Phrase(
                $isTimed ? 'dose.parts_timed' : 'dose.parts',
                ['of' => $text, 'parts' => $dose->parts],
            );
        }
        if (1 !== $dose->passes) {
            $text = new Phrase('dose.passes', ['of' => $text, 'passes' => $dose->passes]);
        }

        return 1 === $dose->sets ? $text : new Phrase('dose.sets', ['of' => $text, 'sets' => $dose->sets]);
    }

    private static function duration(int $seconds): Phrase
    {
        return $seconds < self::IN_SECONDS_UNDER
            ? new Phrase('dose.seconds', ['seconds' => $seconds])
            : new Phrase('dose.minutes', ['minutes' => (string) round($seconds / 60, 1)]);
    }
}
