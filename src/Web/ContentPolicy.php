<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** A strict content policy on every answer: own files only, nothing inline, nothing kept in the browser. */
#[AsEventListener(KernelEvents::RESPONSE)]
final class ContentPolicy
{
    private const POLICY =
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self'; connect-src "
        ."'self'; worker-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public function __invoke(ResponseEvent $event): void
    {
        $headers = $event->getResponse()->headers;
        $headers->set('Content-Security-Policy', self::POLICY);
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('Permissions-Policy', 'camera=(), microphone=(), geolocation=()');
        if (!$headers->hasCacheControlDirective('public')) {
            // after signing out a step back shows nothing; pictures hold nothing of a person and may stay
            $headers->set('Cache-Control', 'no-store, private');
        }
    }
}
