<?php

declare(strict_types=1);

namespace HandGarden\Device;

use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\Target;

/**
 * How many live pages are open and how many fit: each draws eight or nine times a second, and drawing may keep half of
 * the processors (or of the working processes, where these are fewer) busy.
 */
final readonly class LivePages
{
    public const DRAWINGS_A_SECOND = 9;
    private const SHARE = 0.5; // the database and everybody else want the rest
    private const OPEN_MS = 3_000;
    private const USUAL_MS = 15.0;

    public function __construct(
        #[Target('cards')]
        private CacheItemPoolInterface $pool,
        #[Autowire('%env(int:HG_WORKERS)%')]
        private int $workers,
    ) {
    }

    /** @return array{open: int, fit: int, msADrawing: float} */
    public function opened(string $page, int $nowMs, float $costMs): array
    {
        $item = $this->pool->getItem('live.pages');
        $kept = $item->get();
        $pages = [];
        $ms = self::USUAL_MS;
        foreach (\is_array($kept) ? $kept : [] as $name => $at) {
            if ('ms' === $name && \is_float($at)) {
                $ms = $at;
            } elseif (\is_int($at) && $nowMs - $at < self::OPEN_MS) {
                $pages[$name] = $at;
            }
        }
        $pages[$page] = $nowMs;
        $ms = 0.95 * $ms + 0.05 * $costMs; // a running mean: one slow answer is not the rule
        $this->pool->save($item->set($pages + ['ms' => $ms])->expiresAfter(600));

        return [
            'open' => \count($pages),
            'fit' => max(
                1,
                (int) floor(
                    self::SHARE * $this->workers * 1000.0 / (self::DRAWINGS_A_SECOND * max(1.0, $ms)),
                ),
            ),
            'msADrawing' => round($ms, 1),
        ];
    }
}
