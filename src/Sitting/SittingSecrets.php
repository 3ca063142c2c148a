<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\ORM\EntityManagerInterface;
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
        $secret = $this->entities->find(SittingSecret::class, SittingSecret::hash($accessToken))
            ?? throw new BadCredentialsException('Unknown secret.');
        $player = new Player($secret);

        return new UserBadge($player->getUserIdentifier(), static fn (): Player => $player);
    }
}
