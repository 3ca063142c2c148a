<?php

declare(strict_types=1);

namespace HandGarden\Bench\Page;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Says with each answer how much memory the request took at most. */
#[AsEventListener]
final class PeakMemory
{
    public function __invoke(ResponseEvent $event): void
    {
        $event->getResponse()->headers->set('X-Peak-Bytes', (string) memory_get_peak_usage(true));
        memory_reset_peak_usage();
    }
}
