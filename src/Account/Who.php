<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Core\Actor\Actor;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;

/** The person who is signed in, and the clinic that all questions are scoped by. */
final readonly class Who
{
    public function __construct(
        private Security $security,
    ) {
    }

    public function staff(): Staff
    {
        $user = $this->security->getUser();

        return $user instanceof Staff ? $user : throw new AccessDeniedException();
    }

    public function actor(): Actor
    {
        return $this->known()->actor();
    }

    public function clinicId(): string
    {
        return $this->known()->clinicId();
    }

    private function known(): ActsFor
    {
        $user = $this->security->getUser();

        return $user instanceof ActsFor ? $user : throw new AccessDeniedException();
    }
}
