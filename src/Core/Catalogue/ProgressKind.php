<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

enum ProgressKind: string
{
    case HoldCount = 'hold-count';
    case Repetitions = 'repetitions';
    /** A set is gone through once more. */
    case Passes = 'passes';
    case StretchHold = 'stretch-hold';
    /** The next weight after enough controlled repetitions; every step up waits for approval. */
    case Load = 'load';
    /** One piece more. */
    case ObjectCount = 'object-count';
    /** Ten degrees more toward extension; judged by how often the ball is let go. */
    case WristAngle = 'wrist-angle';
    /** More beats a minute, judged by the errors. */
    case Tempo = 'tempo';
    /** A shorter time between calls, judged by the errors. */
    case Caller = 'caller';
    case Firmness = 'firmness';
    /** Less help. */
    case Help = 'help';
    /** The next finger, or space between fingers, with its own hold. */
    case Finger = 'finger';
    /** Smaller pieces, and fewer of them to begin with. */
    case Size = 'size';

    /** No automatic step; the therapist decides at the review. */
    case Review = 'review';

    public function isAutomatic(): bool
    {
        return self::Review !== $this;
    }

    /** Whose levels it goes through; null: it changes a number of the dose. */
    public function challenge(): ?Challenge
    {
        return match ($this) {
            self::WristAngle => Challenge::Angle,
            self::Tempo => Challenge::Beat,
            self::Caller => Challenge::Interval,
            self::Firmness => Challenge::Firmness,
            self::Help => Challenge::Help,
            self::Finger => Challenge::Finger,
            self::Size => Challenge::Size,
            default => null,
        };
    }
}
