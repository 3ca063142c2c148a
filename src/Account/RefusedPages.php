<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** Pages that somebody who is signed in asked for and was refused: not theirs to see, or a record that is not here. */
#[AsEventListener(KernelEvents::RESPONSE)]
final readonly class RefusedPages
{
    /** What a page without an address or with a typing error in it says is no sign of anything. */
    private const TELLING = [Response::HTTP_FORBIDDEN, Response::HTTP_NOT_FOUND];

    public function __construct(
        private Security $security,
        private Audit $audit,
    ) {
    }

    public function __invoke(ResponseEvent $event): void
    {
        $route = $event->getRequest()->attributes->get('_route');
        if (
            $event->isMainRequest()
            && \is_string($route)
            && \in_array($event->getResponse()->getStatusCode(), self::TELLING, true)
            && $this->security->getUser() instanceof Staff
        ) {
            $this->audit->refused($route);
        }
    }
}
