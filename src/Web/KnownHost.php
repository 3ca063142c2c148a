<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/**
 * The house answers to its own name alone: that of its public address, and this machine's where it listens on it. What
 * is asked over TLS is never asked without it again.
 */
final readonly class KnownHost
{
    private const THIS_MACHINE = ['127.0.0.0/8', '::1'];
    private const HSTS = 'max-age=31536000; includeSubDomains';

    /** @param string $publicUrl empty: it is reached on this machine only */
    public function __construct(
        private string $publicUrl,
        private bool $onLoopback,
    ) {
    }

    /** Before anything is read of the request. */
    #[AsEventListener(KernelEvents::REQUEST, priority: 512)]
    public function check(RequestEvent $event): void
    {
        if ($event->isMainRequest() && !$this->isOurs(self::hostOf($event->getRequest()))) {
            $event->setResponse(new Response(
                'This is not the address of this house.',
                Response::HTTP_MISDIRECTED_REQUEST,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            ));
        }
    }

    #[AsEventListener(KernelEvents::RESPONSE)]
    public function keepToTls(ResponseEvent $event): void
    {
        if ($event->getRequest()->isSecure()) {
            $event->getResponse()->headers->set('Strict-Transport-Security', self::HSTS);
        }
    }

    /** As the browser wrote it, without its port. */
    public static function hostOf(Request $request): string
    {
        $host = mb_strtolower((string) $request->headers->get('Host'));

        return trim((string) preg_replace('/:\d+$/D', '', $host), '[]');
    }

    public static function isThisMachine(string $host): bool
    {
        return 'localhost' === $host || IpUtils::checkIp($host, self::THIS_MACHINE);
    }

    private function isOurs(string $host): bool
    {
        $public = parse_url($this->publicUrl, \PHP_URL_HOST);

        return (\is_string($public) && mb_strtolower($public) === $host)
            || ($this->onLoopback && self::isThisMachine($host));
    }
}
