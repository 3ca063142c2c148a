<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

/** Whether a session still opens pages. */
enum Standing: string
{
    case Live = 'live';
    /** Nobody was there for half an hour: the password opens it again. */
    case Idle = 'idle';
    /** It is twelve hours old: everything that signing in asks for opens it again. */
    case Over = 'over';
}
