<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Sitting;

use HandGarden\Core\Sitting\Aside;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class AsideTest extends TestCase
{
    private const BEGAN = '2026-11-01T09:00:00Z';

    #[TestWith(['2026-11-01T09:30:00Z', null, false])]
    #[TestWith(['2026-11-15T09:00:00Z', null, false], 'on the last moment')]
    #[TestWith(['2026-11-15T09:00:01Z', null, true])]
    #[TestWith(['2026-11-20T09:00:00Z', '2026-11-21T09:00:00Z', false], 'looked at')]
    #[TestWith(['2026-11-22T09:00:00Z', '2026-11-21T09:00:00Z', true], 'later than the look')]
    public function testWhatComesLateWaitsForALook(string $received, ?string $looked, bool $waits): void
    {
        $at = static fn (string $time): \DateTimeImmutable => new \DateTimeImmutable($time);
        $aside = Aside::of(
            [$at($received), $at(self::BEGAN)],
            null === $looked ? [] : [$at($looked)],
        );

        self::assertSame($waits, $aside->holds($at($received)));
    }
}
