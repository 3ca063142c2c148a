<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Account\ActsFor;
use HandGarden\Core\Actor\Actor;
use Symfony\Component\Security\Core\User\UserInterface;

/** A tablet of a care home, before anybody's plan is open on it. */
final readonly class TabletUser implements ActsFor, UserInterface
{
    public function __construct(
        public SharedTablet $tablet,
    ) {
    }

    public function clinicId(): string
    {
        return $this->tablet->clinicId;
    }

    public function actor(): Actor
    {
        return Actor::system();
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return ['ROLE_TABLET'];
    }

    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->tablet->id ? 'tablet' : $this->tablet->id;
    }
}
