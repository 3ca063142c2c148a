<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Symfony\Component\Security\Core\Exception\CustomUserMessageAccountStatusException;
use Symfony\Component\Security\Core\User\UserCheckerInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** Whoever left cannot sign in; people made for the demonstration sign in on this machine only. */
final readonly class ActiveChecker implements UserCheckerInterface
{
    public function __construct(
        private bool $onLoopback,
    ) {
    }

    public function checkPreAuth(UserInterface $user): void
    {
        if ($user instanceof Staff && (!$user->active || ($user->forDemo && !$this->onLoopback))) {
            throw new CustomUserMessageAccountStatusException('This sign-in is switched off.');
        }
    }

    public function checkPostAuth(UserInterface $user): void
    {
    }
}
