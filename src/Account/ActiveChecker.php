<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Web\KnownHost;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Core\User\UserCheckerInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/**
 * Whoever left cannot sign in; people made for the demonstration sign in on this machine only. It is asked after the
 * password was right, so that nobody else is told.
 */
final readonly class ActiveChecker implements UserCheckerInterface
{
    private const THIS_MACHINE = ['127.0.0.0/8', '::1'];
    /** What stands between says so with one of these; a tunnel that says nothing cannot be told apart. */
    private const BETWEEN = ['forwarded', 'via'];

    public function __construct(
        private bool $onLoopback,
        private RequestStack $requests,
    ) {
    }

    public function checkPreAuth(UserInterface $user): void
    {
        if ($user instanceof Staff && (!$user->active || ($user->forDemo && !$this->isFromThisMachine()))) {
            throw new SwitchedOff();
        }
    }

    public function checkPostAuth(UserInterface $user): void
    {
    }

    private function isFromThisMachine(): bool
    {
        $request = $this->requests->getMainRequest();

        return $this->onLoopback
            && null !== $request
            && IpUtils::checkIp($request->server->getString('REMOTE_ADDR'), self::THIS_MACHINE)
            && KnownHost::isThisMachine(KnownHost::hostOf($request))
            && !$this->cameThroughAnother($request);
    }

    private function cameThroughAnother(Request $request): bool
    {
        foreach ($request->headers->keys() as $name) {
            if (str_starts_with($name, 'x-forwarded-') || \in_array($name, self::BETWEEN, true)) {
                return true;
            }
        }

        return false;
    }
}
