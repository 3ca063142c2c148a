<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Staff;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Where the clinic demands it, a lead sets up the second factor before anything else. */
#[AsEventListener(KernelEvents::REQUEST, priority: 6)]
final readonly class SecondFactorDemanded
{
    private const OPEN = ['account_second_factor', 'account_second_factor_on', 'account_sign_out', 'account_unlock'];

    public function __construct(
        private Security $security,
        private ClinicRepository $clinics,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (
            !$event->isMainRequest()
            || $event->hasResponse()
            || true === $request->attributes->get('_stateless')
            || !$request->hasPreviousSession()
            || \in_array($request->attributes->get('_route'), self::OPEN, true)
        ) {
            return;
        }
        $staff = $this->security->getUser();
        if (
            $staff instanceof Staff
            && $staff->isLead()
            && null === $staff->secondFactor
            && $this->clinics->own()->wantsSecondFactorOfLeads
        ) {
            $event->setResponse(new RedirectResponse($this->addresses->generate('account_second_factor')));
        }
    }
}
