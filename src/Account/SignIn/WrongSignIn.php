<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** The address or the password is not right; which of them is not said. */
final class WrongSignIn extends AuthenticationException
{
    public function getMessageKey(): string
    {
        return 'sign-in.wrong';
    }
}
