<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\Unit;

/** A choice of what to measure now. */
enum Preset: string
{
    case Needed = 'needed';
    case Recheck = 'recheck';
    case Motion = 'motion';
    case Opening = 'opening';
    case Independence = 'independence';
    case Dexterity = 'dexterity';
    case Tone = 'tone';
    case Looks = 'looks';
    case OwnWords = 'own-words';
    case Everything = 'everything';

    public function label(): string
    {
        return match ($this) {
            self::Needed => 'What the ladders need',
            self::Recheck => 'Quick re-check',
            self::Motion => 'Joint motion',
            self::Opening => 'Opening against wrist angle',
            self::Independence => 'Independence',
            self::Dexterity => 'Dexterity set',
            self::Tone => 'Tone',
            self::Looks => 'Look and ask',
            self::OwnWords => 'In the client’s words',
            self::Everything => 'Everything',
        };
    }

    public function purpose(): string
    {
        return match ($this) {
            self::Needed => 'Only what is missing for the next step of an open ladder. Shortest first.',
            self::Recheck => 'What the standing rungs and the next ones rest on.',
            self::Motion => 'All joints in the order they are measured, both hands.',
            self::Opening => 'Active and passive opening with the wrist at four angles: where do the fingers let go?',
            self::Independence => 'Each finger asked in turn: how far do the others move along, 0 to 3?',
            self::Dexterity => 'Pegs, blocks, coins, force, holds.',
            self::Tone => 'Slow angle, quick angle once, grade last: quick movement raises tone.',
            self::Looks => 'Check lists by body part, and try-outs of rungs.',
            self::OwnWords => 'Pain, stiffness, fatigue, and the two answers on the daily task.',
            self::Everything => 'All there is.',
        };
    }

    public function asksLadders(): bool
    {
        return self::Needed === $this || self::Recheck === $this;
    }

    /** @return list<string> keys of the groups that are shown; empty for those that ask the ladders */
    public function groups(): array
    {
        return match ($this) {
            self::Needed, self::Recheck, self::Looks => [],
            self::Motion => ['wrist', 'thumb', 'index', 'middle', 'ring', 'little', 'small'],
            self::Opening => ['opening'],
            self::Independence => ['along'],
            self::Dexterity => ['skill', 'try'],
            self::Tone => ['angles', 'tone'],
            self::OwnWords => ['own'],
            self::Everything => array_keys(self::titles()),
        };
    }

    public function hasLists(): bool
    {
        return self::Looks === $this || self::Everything === $this;
    }

    public function hasMap(): bool
    {
        return self::Motion === $this || self::Everything === $this;
    }

    /** @return array<string, string> titles of the groups, in the order they are taken */
    public static function titles(): array
    {
        return [
            'wrist' => 'Wrist and forearm',
            'thumb' => 'Thumb',
            'index' => 'Index',
            'middle' => 'Middle',
            'ring' => 'Ring',
            'little' => 'Little',
            'small' => 'Middle joints, knuckle held',
            'opening' => 'Opening by eye, in tens',
            'along' => 'Moves along',
            'skill' => 'Fingers, grip and pieces',
            'try' => 'Timed and counted',
            'own' => 'In the client’s words',
            'angles' => 'Slow and quick angle',
            'tone' => 'Tone, last of all',
        ];
    }

    public static function groupOf(MeasureKind $kind): string
    {
        return match (true) {
            \in_array(
                $kind->code,
                [
                    'spiral_off_mm',
                    'line_off_mm',
                    'letters_shrink_pct',
                    'screen_taps_n',
                    'screen_rhythm_pct',
                    'tremor_hz',
                    'tremor_half_mm',
                ],
                true,
            ) => 'recorded',
            null !== $kind->digit => $kind->digit->value,
            str_starts_with($kind->code, 'tone_') => 'tone',
            \in_array($kind->code, ['slow_angle', 'catch_angle'], true) => 'angles',
            \in_array($kind->code, ['pip_mcp_straight', 'pip_mcp_bent'], true) => 'small',
            \in_array($kind->code, ['opening', 'along'], true) => $kind->code,
            \in_array(
                $kind->code,
                ['thumb_palmar_abduction', 'thumb_radial_abduction', 'opposition_0to10'],
                true,
            ) => 'thumb',
            Unit::Degrees === $kind->unit => 'wrist',
            \in_array(
                $kind->code,
                ['pain_now', 'stiffness_now', 'fatigue_now', 'task_goes', 'task_content'],
                true,
            ) => 'own',
            1 === preg_match(
                '/^(individuation|grip|pinch|pick|turns|coins|release|pegs|blocks|stack|taps)_/',
                $kind->code,
            ) => 'skill',
            default => 'try',
        };
    }
}
