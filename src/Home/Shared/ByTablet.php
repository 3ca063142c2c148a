<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Home\BySecret;
use HandGarden\Home\DeviceRefused;
use HandGarden\Home\HomeCookie;
use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;

/** Knows a tablet of a care home by its secret. */
final class ByTablet extends BySecret
{
    private const ROUTES = 'home_house_';

    public function __construct(
        private readonly CareHomes $homes,
        private readonly HomeCookie $cookie,
        private readonly Clock $clock,
    ) {
    }

    /** What is asked is asked of the tablet, and not of the plan that is open on it. */
    public static function isAsked(Request $request): bool
    {
        return str_starts_with($request->attributes->getString('_route'), self::ROUTES);
    }

    public function supports(Request $request): bool
    {
        return self::isAsked($request) && null !== HomeCookie::secretOf($request, HomeCookie::TABLET);
    }

    public function authenticate(Request $request): SelfValidatingPassport
    {
        $secret = HomeCookie::secretOf($request, HomeCookie::TABLET) ?? '';
        $tablet = $this->homes->tabletBySecret($secret) ?? throw new DeviceRefused(DeviceRefused::UNKNOWN);
        if (!$tablet->isIn()) {
            throw new DeviceRefused(DeviceRefused::OUT);
        }
        $now = $this->clock->now();
        if ($tablet->secret->wasShown($secret, $now)) {
            $this->cookie->give($request, $tablet->secret, HomeCookie::TABLET);
        }
        $tablet->lastSeenAt = $now;
        $this->homes->keep();

        return new SelfValidatingPassport(new UserBadge(
            $tablet->id,
            static fn (): TabletUser => new TabletUser($tablet),
        ));
    }
}
