<?php

declare(strict_types=1);

namespace HandGarden\Core;

use HandGarden\Core\Words\Phrase;

/** An error that a person reads; its message is the code alone. */
interface Explained extends \Throwable
{
    public function why(): Phrase;
}
