<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** Says the same for every account, whether there is one or not. */
final class TooManyTries extends AuthenticationException
{
    public function getMessageKey(): string
    {
        return 'sign-in.too-many';
    }
}
