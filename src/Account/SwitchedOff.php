<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Symfony\Component\Security\Core\Exception\AccountStatusException;

/** Somebody has left, or may not sign in from here. */
final class SwitchedOff extends AccountStatusException
{
    public function getMessageKey(): string
    {
        return 'sign-in.switched-off';
    }
}
