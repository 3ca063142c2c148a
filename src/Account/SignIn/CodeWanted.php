<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** The password was right; nobody is signed in before the second factor is. */
final class CodeWanted extends AuthenticationException
{
}
