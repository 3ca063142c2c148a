<?php

declare(strict_types=1);

namespace HandGarden\Web;

use HandGarden\Core\Data\Plain;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\KernelEvents;

/** What is no text goes no further, whichever page it was meant for. Bodies in JSON pass the same check in `Node`. */
#[AsEventListener(KernelEvents::REQUEST, priority: 64)]
final class Gate
{
    public function __invoke(RequestEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return; // the page that says what was wrong is one
        }
        $request = $event->getRequest();
        $problem = Plain::problem(rawurldecode($request->getPathInfo()))
            ?? Plain::problem($request->query->all())
            ?? Plain::problem($request->request->all());
        if (null !== $problem) {
            throw new BadRequestHttpException('What was sent '.$problem.'. Nothing was kept.');
        }
    }
}
