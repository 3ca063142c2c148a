<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * What a dose counts. The time formula is the same for all: parts x sets x repetitions x (move + hold); the kind
 * says what a
 * repetition and a part are, and which value a therapist changes first.
 */
enum DoseKind: string
{
    case Repetitions = 'repetitions';
    case Holds = 'holds';
    /** One repetition whose movement is the whole time. */
    case Timed = 'timed';
    /** Each repetition is one piece. */
    case Objects = 'objects';
    case PerFinger = 'per finger';
    /** Each part is a direction or a side. */
    case PerSide = 'per side';
    /** Each part is a shape or a call of a sequence. */
    case Sequence = 'sequence';
    /** Repetitions on a beat. */
    case Tempo = 'tempo';

    /** A dose in words, such as '8 ×, hold 5 s'. */
    public function words(Dose $dose): string
    {
        $times = match ($this) {
            self::Timed => self::time($dose->moveSeconds),
            self::Objects => $dose->repetitions.(1 === $dose->repetitions ? ' piece' : ' pieces'),
            self::PerFinger => $dose->repetitions.' × each of '.$dose->parts,
            self::PerSide => 1 === $dose->parts
                ? $dose->repetitions.' × each side'
                : $dose->repetitions.' × each of '.$dose->parts.' ways',
            self::Sequence => 1 === $dose->parts
                ? $dose->repetitions.' ×'
                : $dose->repetitions.' × '.$dose->parts.' in a row',
            self::Repetitions, self::Holds, self::Tempo => $dose->repetitions.' ×'.(
                1 === $dose->parts ? '' : ' '.$dose->parts.' parts'
            ),
        };
        $words = (1 === $dose->sets ? '' : $dose->sets.' sets of ')
            .(1 === $dose->passes ? '' : $dose->passes.' passes of ')
            .$times;
        if ($dose->holdSeconds > 0) {
            $words .= ', hold '.$dose->holdSeconds.' s';
        }

        return $dose->loadKilograms > 0.0 ? $words.', '.round($dose->loadKilograms, 2).' kg' : $words;
    }

    private static function time(int $seconds): string
    {
        return match (true) {
            $seconds < 60 => $seconds.' s',
            0 === $seconds % 60 => intdiv($seconds, 60).' min',
            default => intdiv($seconds, 60).' min '.($seconds % 60).' s',
        };
    }
}
