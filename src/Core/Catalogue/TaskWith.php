<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Who has to be there for a step of a daily task. */
enum TaskWith: string
{
    case Alone = 'alone';
    /** The own other hand helps. */
    case OtherHand = 'other';
    /** A helper says it, hands off. */
    case Prompt = 'prompt';
    /** A helper signed off for this step, hands on. */
    case Helper = 'helper';
    /** A therapist, or a helper signed off, stays beside. */
    case Beside = 'beside';

    /** Null: only beside a therapist. */
    public function performer(): ?Performer
    {
        return match ($this) {
            self::Alone => Performer::ClientAlone,
            self::OtherHand => Performer::OwnOtherHand,
            self::Prompt => Performer::HelperPrompts,
            self::Beside => null,
            self::Helper => Performer::Helper,
        };
    }
}
