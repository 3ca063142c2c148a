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

/**
 * The secret of a device: out of reach of scripts, sent to the pages at home and to no other, nor from elsewhere. A
 * tablet of a care home has one of its own, besides that of whoever's plan is open on it.
 */
final class HomeCookie implements ResetInterface
{
    public const PLAN = 'garden-home';
    public const TABLET = 'garden-tablet';
    private const PATH = '/home';

    /** @var array<string, Cookie> by name */
    private array $wanted = [];

    public function __construct(
        private readonly Clock $clock,
    ) {
    }

    /** @param self::* $name */
    public static function secretOf(Request $request, string $name = self::PLAN): ?string
    {
        $secret = $request->cookies->get($name);

        return \is_string($secret) && '' !== $secret ? $secret : null;
    }

    /**
     * Another secret goes out with the answer.
     *
     * @param self::* $name
     */
    public function give(Request $request, DeviceSecret $secret, string $name = self::PLAN): void
    {
        $now = $this->clock->now();
        $this->wanted[$name] = self::cookie(
            $request,
            $name,
            $secret->renew($now),
            $now->modify('+'.HomeDevice::ASLEEP_DAYS.' days'),
        );
    }

    /**
     * The device opens nothing more.
     *
     * @param self::* $name
     */
    public function takeBack(Request $request, string $name = self::PLAN): void
    {
        $this->wanted[$name] = self::cookie($request, $name, '', 1);
    }

    #[AsEventListener(KernelEvents::RESPONSE)]
    public function send(ResponseEvent $event): void
    {
        if ($event->isMainRequest()) {
            foreach ($this->wanted as $cookie) {
                $event->getResponse()->headers->setCookie($cookie);
            }
            $this->wanted = [];
        }
    }

    public function reset(): void
    {
        $this->wanted = [];
    }

    private static function cookie(
        Request $request,
        string $name,
        #[\SensitiveParameter]
        string $secret,
        \DateTimeImmutable|int $until,
    ): Cookie {
        return new Cookie(
            $name,
            $secret,
            $until,
            self::PATH,
            secure: $request->isSecure(),
            httpOnly: true,
            sameSite: Cookie::SAMESITE_STRICT,
        );
    }
}
