<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Clinic;
use HandGarden\Web\KnownHost;
use Symfony\Component\HttpFoundation\Request;

/** Where devices at home find the house, and whether they may: over TLS, or on this machine. */
final readonly class HomeAddress
{
    public function __construct(
        private string $publicUrl,
        private bool $onLoopback,
    ) {
    }

    /** Code of what stands against letting a device in; null: nothing. */
    public function hindrance(Request $request, Clinic $clinic): ?string
    {
        $isOurs = $this->onLoopback && KnownHost::isThisMachine(KnownHost::hostOf($request));

        return match (true) {
            !$isOurs && '' === $this->publicUrl => 'no-address',
            !$isOurs && !str_starts_with($this->publicUrl, 'https://') => 'no-tls',
            '' === $clinic->phone, '' === $clinic->outOfHoursPhone, '' === $clinic->emergencyNumber => 'no-numbers',
            default => null,
        };
    }

    /** What is typed into the device, or scanned. */
    public function toEnter(Request $request): string
    {
        return ('' === $this->publicUrl ? $request->getSchemeAndHttpHost() : rtrim(
            $this->publicUrl,
            '/',
        )).'/home/in';
    }
}
