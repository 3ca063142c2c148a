<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Web\Clock;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Target;

/**
 * Deliveries with a wrong token in the last ten minutes: nobody knows whose they are, so the bench shows their
 * number.
 */
final readonly class Refusals
{
    private const KEY = 'device.refusals';
    private const SECONDS = 600;
    private const MOST = 100;

    public function __construct(
        #[Target('refusals')]
        private CacheItemPoolInterface $pool,
        private Clock $clock,
    ) {
    }

    public function note(): void
    {
        $item = $this->pool->getItem(self::KEY);
        $item->set(
            \array_slice([...$this->times(), $this->clock->now()->getTimestamp()], -self::MOST),
        )->expiresAfter(self::SECONDS);
        $this->pool->save($item);
    }

    public function count(): int
    {
        return \count($this->times());
    }

    /** @return list<int> */
    private function times(): array
    {
        $since = $this->clock->now()->getTimestamp() - self::SECONDS;
        $kept = $this->pool->getItem(self::KEY)->get();

        return array_values(
            array_filter(
                \is_array($kept) ? $kept : [],
                static fn (mixed $t): bool => \is_int($t) && $t > $since,
            ),
        );
    }
}
