<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

enum LadderKind: string
{
    /** One standing rung; a rung above the first fitting one also needs evidence or a clean try-out. */
    case Climb = 'climb';
    /** Rungs done in order as one block. */
    case Chain = 'chain';
    /** Different things, each on its own entry. */
    case Menu = 'menu';
    /** Steps inside one sitting with gates of their own; trained therapists in the clinic only, never in a routine. */
    case Protocol = 'protocol';

    public function says(): string
    {
        return match ($this) {
            self::Climb => 'climbed one rung at a time',
            self::Chain => 'done in order',
            self::Menu => 'each by itself',
            self::Protocol => 'steps of one sitting, with gates',
        };
    }

    public function isClimbed(): bool
    {
        return self::Climb === $this;
    }
}
