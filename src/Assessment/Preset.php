<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\MeasureGroup;

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

    /** Those that ask the ladders show what these ask, and no group as a whole. */
    public function shows(MeasureGroup $group): bool
    {
        return self::Everything === $this || $group->shownBy === $this->value;
    }

    public function hasLists(): bool
    {
        return self::Looks === $this || self::Everything === $this;
    }

    public function hasMap(): bool
    {
        return self::Motion === $this || self::Everything === $this;
    }
}
