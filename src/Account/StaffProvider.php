<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\PasswordUpgraderInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Core\User\UserProviderInterface;

/** @implements UserProviderInterface<Staff> */
final readonly class StaffProvider implements UserProviderInterface, PasswordUpgraderInterface
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function loadUserByIdentifier(string $identifier): Staff
    {
        return $this->find($identifier) ?? throw new UserNotFoundException();
    }

    public function find(string $email): ?Staff
    {
        return $this->entities->getRepository(Staff::class)->findOneBy(
            ['email' => mb_strtolower(trim($email))],
        );
    }

    public function byId(string $id): ?Staff
    {
        return $this->entities->find(Staff::class, $id);
    }

    public function refreshUser(UserInterface $user): Staff
    {
        $staff = $user instanceof Staff ? $this->entities->find(Staff::class, $user->id) : null;

        return $staff ?? throw new UserNotFoundException();
    }

    public function supportsClass(string $class): bool
    {
        return Staff::class === $class;
    }

    public function upgradePassword(
        PasswordAuthenticatedUserInterface $user,
        string $newHashedPassword,
    ): void {
        if ($user instanceof Staff) {
            $user->password = $newHashedPassword;
            $this->entities->flush();
        }
    }
}
