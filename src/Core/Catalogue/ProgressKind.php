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
    case Tempo = 'tempo';
    /** A shorter time between calls. */
    case Caller = 'caller';
    case Firmness = 'firmness';
    /** Less help. */
    case Help = 'help';

    /** No automatic step; the therapist decides at the review. */
    case Review = 'review';

    public function isAutomatic(): bool
    {
        return match ($this) {
            self::HoldCount, self::Repetitions, self::Passes, self::StretchHold, self::Load, self::ObjectCount => true,
            self::WristAngle, self::Tempo, self::Caller, self::Firmness, self::Help, self::Review => false,
        };
    }
}
