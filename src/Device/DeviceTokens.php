<?php

declare(strict_types=1);

namespace HandGarden\Device;

use Doctrine\DBAL\Connection;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Web\Row;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Http\AccessToken\AccessTokenHandlerInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;

/** Knows devices by the hash of their token. */
final readonly class DeviceTokens implements AccessTokenHandlerInterface
{
    public function __construct(
        private Connection $connection,
        private Refusals $refusals,
    ) {
    }

    public function getUserBadgeFrom(#[\SensitiveParameter] string $accessToken): UserBadge
    {
        $found = $this->connection->fetchAssociative(
            'SELECT id, kind FROM device WHERE token_hash = ? AND retired_at IS NULL',
            [Device::hash($accessToken)],
        );
        if (false === $found) {
            $this->refusals->note();
            throw new BadCredentialsException('Unknown or retired token.');
        }
        $row = new Row($found);
        $user = new DeviceUser($row->text('id'), DeviceKind::from($row->text('kind')));

        return new UserBadge($user->getUserIdentifier(), static fn (): DeviceUser => $user);
    }
}
