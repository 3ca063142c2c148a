<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** An answer about a hand that is looked at. Not sure counts as the worse one. */
enum Told: string
{
    case Yes = 'yes';
    case No = 'no';
    case NotSure = 'not-sure';

    public function isYes(): bool
    {
        return self::Yes === $this;
    }
}
