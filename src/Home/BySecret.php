<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\Authenticator\AbstractAuthenticator;

/** Knows something at home by its secret; whatever opens nothing is told why, in words that a page can read. */
abstract class BySecret extends AbstractAuthenticator
{
    public function onAuthenticationSuccess(
        Request $request,
        TokenInterface $token,
        string $firewallName,
    ): ?Response {
        return null;
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        return self::refused($exception instanceof DeviceRefused ? $exception->why : DeviceRefused::UNKNOWN);
    }

    protected static function refused(string $why): Response
    {
        return new JsonResponse(['out' => $why], Response::HTTP_FORBIDDEN);
    }
}
