<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Web\Clock;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Contracts\Service\ResetInterface;

/** The secret of a device: out of reach of scripts, sent to the pages at home and to no other, nor from elsewhere. */
final class HomeCookie implements ResetInterface
{
    private const NAME = 'garden-home';
    private const PATH = '/home';

    private ?Cookie $wanted = null;

    public function __construct(
        private readonly Clock $clock,
    ) {
    }

    public static function secretOf(Request $request): ?string
    {
        $secret = $request->cookies->get(self::NAME);

        return \is_string($secret) && '' !== $secret ? $secret : null;
    }

    /** Another secret goes out with the answer. */
    public function give(Request $request, HomeDevice $device): void
    {
        $now = $this->clock->now();
        $this->wanted = new Cookie(
            self::NAME,
            $device->renewSecret($now),
            $now->modify('+'.HomeDevice::ASLEEP_DAYS.' days'),
            self::PATH,
            secure: $request->isSecure(),
            httpOnly: true,
            sameSite: Cookie::SAMESITE_STRICT,
        );
    }

    /** The device opens nothing more. */
    public function takeBack(Request $request): void
    {
        $this->wanted = new Cookie(
            self::NAME,
            '',
            1,
            self::PATH,
            secure: $request->isSecure(),
            httpOnly: true,
            sameSite: Cookie::SAMESITE_STRICT,
        );
    }

    #[AsEventListener(KernelEvents::RESPONSE)]
    public function send(ResponseEvent $event): void
    {
        if (null !== $this->wanted && $event->isMainRequest()) {
            $event->getResponse()->headers->setCookie($this->wanted);
            $this->wanted = null;
        }
    }

    public function reset(): void
    {
        $this->wanted = null;
    }
}
