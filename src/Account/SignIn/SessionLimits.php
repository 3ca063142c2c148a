<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Staff;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * A session that nobody used for half an hour opens nothing before its person has typed the password again, and one of
 * twelve hours nothing before they have signed in anew. What they were sending meanwhile waits in the page that asks
 * and is sent on with the answer.
 */
final readonly class SessionLimits
{
    /** A page that asks by itself, such as for the newest line of a device, is no sign of somebody being there. */
    public const QUIET = '_quiet';

    private const ALWAYS = ['account_sign_in', 'account_sign_in_code', 'account_sign_out', 'account_unlock'];

    public function __construct(
        private Security $security,
        private SessionClock $session,
        private Again $again,
        private HiddenPage $page,
        private TranslatorInterface $translator,
    ) {
    }

    /** After the person is known, before anything is written. */
    #[AsEventListener(KernelEvents::REQUEST, priority: 7)]
    public function hold(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $isOurs = $event->isMainRequest() && true !== $request->attributes->get('_stateless');
        if (!$isOurs || !$request->hasPreviousSession() || $this->isAlwaysOpen($request)) {
            return;
        }
        $staff = $this->security->getUser();
        if (!$staff instanceof Staff) {
            return;
        }
        $standing = $this->session->standing();
        if (Standing::Live !== $standing) {
            $this->askAgain($event, $staff, $standing);
        } elseif (true !== $request->attributes->get(self::QUIET)) {
            $this->session->touch();
        }
    }

    private function askAgain(RequestEvent $event, Staff $staff, Standing $standing): void
    {
        $request = $event->getRequest();
        $isWhole = Standing::Over === $standing;
        $isAnswer = $request->isMethod('POST') && $request->request->has(Again::PASSWORD);
        $problem = $isAnswer ? $this->again->problem($request, $staff, $isWhole) : null;
        if ($isAnswer && null === $problem) {
            foreach (Again::FIELDS as $field) {
                $request->request->remove($field);
            }

            return; // what was being sent is sent
        }
        $event->setResponse(
            'navigate' === $request->headers->get('Sec-Fetch-Mode', 'navigate')
                ? $this->page->show($request, $staff, $isWhole, $problem)
                : new JsonResponse(
                    ['problem' => $this->translator->trans('again.hidden')],
                    Response::HTTP_UNAUTHORIZED,
                ),
        );
    }

    private function isAlwaysOpen(Request $request): bool
    {
        return \in_array($request->attributes->get('_route'), self::ALWAYS, true);
    }
}
