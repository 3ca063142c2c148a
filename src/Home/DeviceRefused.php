<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** A device that does not open a plan, and why. */
final class DeviceRefused extends AuthenticationException
{
    public const UNKNOWN = 'unknown';
    public const OUT = 'taken-out';
    public const ASLEEP = 'asleep';

    public function __construct(
        public readonly string $why,
    ) {
        parent::__construct($why);
    }
}
