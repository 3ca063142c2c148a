<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

/** What the therapist's hands feel at a step of the hands-on release. */
enum ReleaseMark: string
{
    case Softer = 'softer';
    case Same = 'same';
    case Tighter = 'tighter';
    case Opens = 'opens';

    /** The gate is met: the next step. */
    public function eases(): bool
    {
        return self::Softer === $this || self::Opens === $this;
    }
}
