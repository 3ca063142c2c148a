<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** The form to sign in was not ours, or lay open for too long. */
final class OldForm extends AuthenticationException
{
    public function getMessageKey(): string
    {
        return 'sign-in.old-form';
    }
}
