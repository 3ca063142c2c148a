<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Core\Actor\Actor;

/** Somebody who is known by something else than signing in, and acts in somebody's name. */
interface ActsFor
{
    public function actor(): Actor;

    public function clinicId(): string;
}
