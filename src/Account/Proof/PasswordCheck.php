<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

use HandGarden\Account\Staff;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;

/** Whether a password is somebody's; the work is the same whether there is such a person or not. */
final readonly class PasswordCheck
{
    private const NOBODY = 'password_of_nobody';

    public function __construct(
        private PasswordHasherFactoryInterface $hashers,
        private CacheItemPoolInterface $cache,
    ) {
    }

    public function isRight(?Staff $staff, #[\SensitiveParameter] string $password): bool
    {
        $hasher = $this->hashers->getPasswordHasher(Staff::class);
        $nobody = $this->ofNobody($hasher);
        $isKnown = null !== $staff && '' !== $staff->password;
        $isRight = $hasher->verify($isKnown ? $staff->password : $nobody, $password);

        return $isRight && $isKnown;
    }

    public function hash(#[\SensitiveParameter] string $password): string
    {
        return $this->hashers->getPasswordHasher(Staff::class)->hash($password);
    }

    /** A hash that no password gives, made with the work that everybody's is. */
    private function ofNobody(PasswordHasherInterface $hasher): string
    {
        $kept = $this->cache->getItem(self::NOBODY);
        $hash = $kept->get();
        if (\is_string($hash) && !$hasher->needsRehash($hash)) {
            return $hash;
        }
        $hash = $hasher->hash(bin2hex(random_bytes(16)));
        $this->cache->save($kept->set($hash));

        return $hash;
    }
}
