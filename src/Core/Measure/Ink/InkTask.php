<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/** What is drawn or tapped on the screen. */
enum InkTask: string
{
    case Spiral = 'spiral';
    case Line = 'line';
    case Word = 'word';
    case Pattern = 'pattern';
    case Tapping = 'tapping';

    /** A word under a name of its own: it lets somebody in elsewhere, its strokes leave the house only on request. */
    public const SIGNATURE = 'signature';

    public function label(): string
    {
        return match ($this) {
            self::Spiral => 'Spiral',
            self::Line => 'Straight line',
            self::Word => 'A usual word',
            self::Pattern => 'A line of one letter',
            self::Tapping => 'Two-target tapping',
        };
    }

    public function instruction(): string
    {
        return match ($this) {
            self::Spiral => 'Follow the spiral from the middle outward, without resting the hand.',
            self::Line => 'Follow the line from one end to the other and back, until you are asked to stop.',
            self::Word => 'Write one word you write often, as you usually do.',
            self::Pattern => 'Write the same letter again and again, joined, to the end of the line.',
            self::Tapping => 'Tap the two circles in turn with one finger, as quickly and evenly as you can, for 15 '
                .'seconds.',
        };
    }

    /** @return list<string> under which its recordings are kept: a signature is a word as well */
    public function names(): array
    {
        return self::Word === $this ? [$this->value, self::SIGNATURE] : [$this->value];
    }

    public function isGuided(): bool
    {
        return self::Spiral === $this || self::Line === $this;
    }
}
