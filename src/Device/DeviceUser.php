<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Core\Device\DeviceKind;
use Symfony\Component\Security\Core\User\UserInterface;

/** A device that has shown its token. */
final readonly class DeviceUser implements UserInterface
{
    public function __construct(
        public string $id,
        public DeviceKind $kind,
    ) {
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->id ? 'none' : $this->id;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return ['ROLE_DEVICE'];
    }

    public function eraseCredentials(): void
    {
    }
}
