<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Contracts\Service\ResetInterface;

/** The clinic that what is read belongs to: that of whoever is known, or the one a command works for. */
final class ClinicScope implements ResetInterface
{
    private ?string $clinicId = null;

    public function __construct(
        private readonly Security $security,
    ) {
    }

    public function workFor(string $clinicId): void
    {
        $this->clinicId = $clinicId;
    }

    /** Null where nobody is signed in and nothing was said. */
    public function clinicId(): ?string
    {
        $user = $this->security->getUser();

        return $this->clinicId ?? ($user instanceof ActsFor ? $user->clinicId() : null);
    }

    public function reset(): void
    {
        $this->clinicId = null;
    }
}
