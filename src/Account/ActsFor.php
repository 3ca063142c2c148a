<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Core\Actor\Actor;

/** Somebody who is known, by signing in or by something that they were given, and in whose name things happen. */
interface ActsFor
{
    public function actor(): Actor;

    public function clinicId(): string;
}
