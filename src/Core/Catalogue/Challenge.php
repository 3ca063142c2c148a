<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What makes an exercise harder beside its count, its hold and its load. Its levels are numbers or words. */
enum Challenge: string
{
    /** Beats a minute. */
    case Beat = 'beat';
    /** Seconds from one call to the next. */
    case Interval = 'interval';
    /** Degrees of the wrist while the fingers let go; above 0 it is back, below 0 it hangs. */
    case Angle = 'angle';
    case Firmness = 'firmness';
    /** The most help that is given. */
    case Help = 'help';
    /** The finger, or the space between two, that is worked. */
    case Finger = 'finger';
    /** Of the pieces. */
    case Size = 'size';

    private const WORDS = [
        'firmness' => ['soft', 'medium', 'firm'],
        'help' => ['full', 'much', 'some', 'fingertip', 'none'],
        'finger' => ['index', 'index-middle', 'middle', 'middle-ring', 'ring', 'ring-little', 'little'],
        'size' => ['large', 'medium', 'small'],
    ];

    /** @return list<string> the words of its levels, easiest first; none: they are numbers */
    public function words(): array
    {
        return self::WORDS[$this->value] ?? [];
    }

    /** What begins anew with the next level: its count and its hold start from the least again. */
    public function isStage(): bool
    {
        return self::Finger === $this || self::Size === $this;
    }

    /** @throws InvalidDose */
    public function hardness(int|float|string $level): float
    {
        if ([] === $this->words()) {
            return match (true) {
                \is_string($level) => throw InvalidDose::noLevel($this, $level),
                self::Interval === $this => -(float) $level,
                default => (float) $level,
            };
        }
        $at = array_search($level, $this->words(), true);

        return false === $at ? throw InvalidDose::noLevel($this, (string) $level) : (float) $at;
    }

    /** How much faster a movement is at one level than at another. */
    public function quickening(int|float|string $from, int|float|string $to): float
    {
        return match ($this) {
            self::Beat => (float) $to / max(1.0, (float) $from),
            self::Interval => (float) $from / max(0.1, (float) $to),
            default => 1.0,
        };
    }
}
