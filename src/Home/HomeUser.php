<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\ActsFor;
use HandGarden\Core\Actor\Actor;
use Symfony\Component\Security\Core\User\UserInterface;

/** Somebody at home, known by their device: one client's plan, and nothing of the staff side. */
final readonly class HomeUser implements ActsFor, UserInterface
{
    public function __construct(
        public HomeDevice $device,
    ) {
    }

    public function clientId(): string
    {
        return $this->device->clientId;
    }

    public function clinicId(): string
    {
        return $this->device->clinicId;
    }

    public function actor(): Actor
    {
        return $this->device->actor();
    }

    public function isHelper(): bool
    {
        return null !== $this->device->helperId;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return ['ROLE_HOME'];
    }

    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->device->id ? 'device' : $this->device->id;
    }
}
