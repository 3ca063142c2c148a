<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Component\Security\Core\Exception\AuthenticationException;

final class WrongCode extends AuthenticationException
{
    public function getMessageKey(): string
    {
        return 'sign-in.wrong-code';
    }
}
