<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\KernelEvents;

/** What is written from home comes from a page of this house: there is no session whose token could say so. */
#[AsEventListener(KernelEvents::CONTROLLER)]
final readonly class SameOrigin
{
    public function __invoke(ControllerEvent $event): void
    {
        $request = $event->getRequest();
        $route = $request->attributes->get('_route');
        if (
            !$event->isMainRequest()
            || $request->isMethodSafe()
            || !\is_string($route)
            || !str_starts_with($route, 'home_')
            || true !== $request->attributes->get('_stateless')
        ) {
            return;
        }
        if ($request->headers->get('Origin') !== $request->getSchemeAndHttpHost()) {
            throw new BadRequestHttpException('This does not come from a page of this house.');
        }
    }
}
