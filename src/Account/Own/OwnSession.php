<?php

declare(strict_types=1);

namespace HandGarden\Account\Own;

use HandGarden\Account\Staff;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;

/** The session in which somebody changes what would end it: it goes on under a new name, their others end. */
final readonly class OwnSession
{
    public function __construct(
        private TokenStorageInterface $tokens,
        private RequestStack $requests,
    ) {
    }

    public function goesOnFor(Staff $staff): void
    {
        $this->tokens->getToken()?->setUser($staff);
        $this->requests->getSession()->migrate(destroy: true);
    }
}
