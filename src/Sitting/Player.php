<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\ActsFor;
use HandGarden\Core\Actor\Actor;
use Symfony\Component\Security\Core\User\UserInterface;

/** A browser that plays one sitting, in the name of who opened it there. */
final readonly class Player implements ActsFor, UserInterface
{
    public function __construct(
        private SittingSecret $secret,
    ) {
    }

    public function sittingId(): string
    {
        return $this->secret->sittingId;
    }

    public function clientId(): string
    {
        return $this->secret->clientId;
    }

    public function clinicId(): string
    {
        return $this->secret->clinicId;
    }

    public function actor(): Actor
    {
        return new Actor($this->secret->actorKind, $this->secret->actorId);
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return ['ROLE_PLAYER'];
    }

    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->secret->sittingId ? 'player' : $this->secret->sittingId;
    }
}
