<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Doctrine\DBAL\Connection;
use HandGarden\Account\Audit;
use HandGarden\Account\Staff;
use HandGarden\Core\Actor\Actor;
use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Component\Security\Http\Util\TargetPathTrait;

/** What every step of signing in has around it: its form is ours, it is done, or it was refused. */
final readonly class Welcome
{
    use TargetPathTrait;

    public function __construct(
        private Throttle $throttle,
        private KnownBrowser $browsers,
        private SessionClock $session,
        private Audit $audit,
        private Connection $connection,
        private Clock $clock,
        private UrlGeneratorInterface $addresses,
        private CsrfTokenManagerInterface $tokens,
    ) {
    }

    /** @throws OldForm */
    public function checkForm(Request $request): void
    {
        $token = $request->request->getString('_csrf_token');
        if (!$this->tokens->isTokenValid(new CsrfToken('authenticate', $token))) {
            throw new OldForm();
        }
    }

    /** Null: the token is of nobody of a clinic. */
    public function letIn(Request $request, TokenInterface $token, string $firewall): ?Response
    {
        $staff = $token->getUser();
        if (!$staff instanceof Staff) {
            return null;
        }
        $now = $this->clock->now();
        $browser = $this->browsers->of($request, $staff->email);
        $this->throttle->giveBack($staff->email, $browser, (string) $request->getClientIp());
        $this->session->begin();
        $this->connection->update(
            'staff',
            ['signed_in_at' => $now->format(\DATE_RFC3339)],
            ['id' => $staff->id],
        );
        $this->audit->by($staff->clinicId, Actor::staff($staff->id), 'signed in', $staff->id);
        $target = $this->getTargetPath($request->getSession(), $firewall);
        $this->removeTargetPath($request->getSession(), $firewall);
        $response = new RedirectResponse($target ?? $this->addresses->generate('desk_today'));
        $response->headers->setCookie($this->browsers->remember($request, $staff->email, $now));

        return $response;
    }

    /** Of an account that there is, so that its clinic can see it; the others are in no clinic's trail. */
    public function refused(Staff $staff, string $why): void
    {
        $this->audit->by($staff->clinicId, Actor::system(), $why, $staff->id);
    }
}
