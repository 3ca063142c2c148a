<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

/** What is noted of an alert that waits. None of them answers it. */
enum AlertNoteKind: string
{
    /** Called, and nobody answered. */
    case Tried = 'tried';
    /** Spoken with the client, and passed on to who answers. */
    case PassedOn = 'passed-on';
    /** The same was told again while it was open. */
    case ToldAgain = 'told-again';

    /** What somebody of the clinic may note. */
    public function isByStaff(): bool
    {
        return self::ToldAgain !== $this;
    }
}
