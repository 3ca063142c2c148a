<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/** Knows a device at home by its secret. One that was taken out is told so, whatever it asks for. */
final class ByDevice extends BySecret implements AuthenticationEntryPointInterface
{
    /** Pages with nobody in them, and how one comes in and goes. */
    private const OPEN = [
        'home_shell',
        'home_enter',
        'home_play_shell',
        'home_play',
        'home_claim',
        'home_key',
        'home_emptied',
        'home_house',
    ];

    /** What was told before it was taken out is still handed in. */
    private const HANDS_IN = 'home_told';

    public function __construct(
        private readonly HomeDevices $devices,
        private readonly HomeCookie $cookie,
        private readonly Clock $clock,
    ) {
    }

    public function supports(Request $request): bool
    {
        return null !== HomeCookie::secretOf($request)
            && !\in_array($request->attributes->get('_route'), self::OPEN, true)
            && !Shared\ByTablet::isAsked($request);
    }

    public function authenticate(Request $request): SelfValidatingPassport
    {
        $secret = HomeCookie::secretOf($request) ?? '';
        $device = $this->devices->bySecret($secret);
        $now = $this->clock->now();
        if (null === $device) {
            throw new DeviceRefused(DeviceRefused::UNKNOWN);
        }
        if (!$device->isIn() && self::HANDS_IN !== $request->attributes->get('_route')) {
            throw new DeviceRefused(DeviceRefused::OUT);
        }
        if ($device->isAsleep($now)) {
            throw new DeviceRefused(DeviceRefused::ASLEEP);
        }
        if ($device->isIn() && $device->secret->wasShown($secret, $now)) {
            $this->cookie->give($request, $device->secret);
        }
        $device->lastSeenAt = $now;
        $this->devices->keep();

        return new SelfValidatingPassport(new UserBadge(
            $device->id,
            static fn (): HomeUser => new HomeUser($device),
        ));
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return self::refused(DeviceRefused::UNKNOWN);
    }
}
