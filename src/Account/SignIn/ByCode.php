<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Proof\SecondFactor;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffProvider;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Http\Authenticator\AbstractLoginFormAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;

/** The second step of signing in: the code of a device, or one of those on paper. */
final class ByCode extends AbstractLoginFormAuthenticator
{
    public function __construct(
        private readonly StaffProvider $staff,
        private readonly SecondFactor $factor,
        private readonly Throttle $throttle,
        private readonly SessionClock $session,
        private readonly Welcome $welcome,
        private readonly UrlGeneratorInterface $addresses,
    ) {
    }

    public function authenticate(Request $request): Passport
    {
        $typed = $request->request;
        $this->welcome->checkForm($request);
        $waited = $this->session->waitedFor();
        $staff = null === $waited ? null : $this->staff->byId($waited[0]);
        if (null === $waited || null === $staff || $staff->passwordMark() !== $waited[1]) {
            throw new OldForm();
        }
        $this->throttle->take('code of '.$staff->id, null, (string) $request->getClientIp());
        if (!$this->factor->takes($staff, $typed->getString('code'))) {
            $this->welcome->refused($staff, 'sign-in refused: code');
            throw new WrongCode();
        }
        $this->throttle->giveBack('code of '.$staff->id, null, (string) $request->getClientIp());

        return new SelfValidatingPassport(new UserBadge($staff->email, static fn (): Staff => $staff));
    }

    public function onAuthenticationSuccess(
        Request $request,
        TokenInterface $token,
        string $firewallName,
    ): ?Response {
        return $this->welcome->letIn($request, $token, $firewallName);
    }

    protected function getLoginUrl(Request $request): string
    {
        return $this->addresses->generate('account_sign_in_code');
    }
}
