<?php

declare(strict_types=1);

namespace HandGarden\Device;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** Processor time of this request so far: what it costs the machine, however long it had to wait for others. */
#[AsEventListener(KernelEvents::REQUEST, priority: 2048)]
final class ProcessorTime
{
    private float $began = 0.0;

    public function __invoke(RequestEvent $event): void
    {
        if ($event->isMainRequest()) {
            $this->began = self::used();
        }
    }

    public function milliseconds(): float
    {
        return self::used() - $this->began;
    }

    private static function used(): float
    {
        $usage = getrusage();
        $sum = 0.0;
        foreach (['utime', 'stime'] as $kind) {
            $seconds = $usage["ru_$kind.tv_sec"] ?? 0;
            $micros = $usage["ru_$kind.tv_usec"] ?? 0;
            $sum += (
                is_numeric($seconds) ? 1000.0 * $seconds : 0.0
            ) + (is_numeric($micros) ? $micros / 1000.0 : 0.0);
        }

        return $sum;
    }
}
