<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Proof\PasswordCheck;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffProvider;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\Authenticator\AbstractLoginFormAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\PasswordUpgradeBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/**
 * Signing in by address and password.
 *
 * The try is counted first, then the password is looked at with the same work for everybody; only with the right one is
 * anything said of the account, and where it has a second factor, nobody is signed in before that.
 */
final class ByPassword extends AbstractLoginFormAuthenticator
{
    public function __construct(
        private readonly StaffProvider $staff,
        private readonly PasswordCheck $passwords,
        private readonly Throttle $throttle,
        private readonly KnownBrowser $browsers,
        private readonly SessionClock $session,
        private readonly Welcome $welcome,
        private readonly UrlGeneratorInterface $addresses,
    ) {
    }

    public function authenticate(Request $request): Passport
    {
        $typed = $request->request;
        $email = mb_substr($typed->getString('_username'), 0, 180);
        $password = $typed->getString('_password');
        $request->getSession()->set(SecurityRequestAttributes::LAST_USERNAME, $email);
        $this->welcome->checkForm($request);
        $browser = $this->browsers->of($request, $email);
        $this->throttle->take($email, $browser, (string) $request->getClientIp());
        $staff = $this->staff->find($email);
        if (!$this->passwords->isRight($staff, $password) || null === $staff) {
            $this->noteRefusal($staff);
            throw new WrongSignIn();
        }
        if (null !== $staff->secondFactor && $staff->active) {
            $this->session->waitForCode($staff);
            throw new CodeWanted();
        }

        return new SelfValidatingPassport(
            new UserBadge($staff->email, static fn (): Staff => $staff),
            [new PasswordUpgradeBadge($password, $this->staff)],
        );
    }

    public function onAuthenticationSuccess(
        Request $request,
        TokenInterface $token,
        string $firewallName,
    ): ?Response {
        return $this->welcome->letIn($request, $token, $firewallName);
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        return $exception instanceof CodeWanted
            ? new RedirectResponse($this->addresses->generate('account_sign_in_code'))
            : parent::onAuthenticationFailure($request, $exception);
    }

    protected function getLoginUrl(Request $request): string
    {
        return $this->addresses->generate('account_sign_in');
    }

    private function noteRefusal(?Staff $staff): void
    {
        if (null !== $staff) {
            $this->welcome->refused($staff, 'sign-in refused: password');
        }
    }
}
