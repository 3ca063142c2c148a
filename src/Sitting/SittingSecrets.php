<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Clinic;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Http\AccessToken\AccessTokenHandlerInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;

/** Knows the players of sittings by their secrets. */
final readonly class SittingSecrets implements AccessTokenHandlerInterface
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function getUserBadgeFrom(#[\SensitiveParameter] string $accessToken): UserBadge
    {
        // with its clinic, whose figures every batch is judged by: one question less
        /** @var list<object> $found */
        $found = $this->entities->createQuery(
            'SELECT s, k FROM '.SittingSecret::class.' s, '.Clinic::class.' k'
                .' WHERE s.hash = :hash AND k.id = s.clinicId',
        )->setParameter('hash', SittingSecret::hash($accessToken))->getResult();
        $secret = $found[0] ?? null;
        if (!$secret instanceof SittingSecret) {
            throw new BadCredentialsException('Unknown secret.');
        }
        $player = new Player($secret);

        return new UserBadge($player->getUserIdentifier(), static fn (): Player => $player);
    }
}
