<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

enum ProgressKind: string
{
    case HoldCount = 'hold-count';
    case Repetitions = 'repetitions';
    case StretchHold = 'stretch-hold';
    /** The next weight after enough controlled repetitions; every step up waits for approval. */
    case Load = 'load';

    /** No automatic step; the therapist decides at the review. */
    case Review = 'review';

    public function isAutomatic(): bool
    {
        return self::Review !== $this;
    }
}
