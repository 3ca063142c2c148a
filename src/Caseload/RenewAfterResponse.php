<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** Works out what a request has changed, as soon as its answer has gone out. */
#[AsEventListener(KernelEvents::TERMINATE, priority: -100)]
final readonly class RenewAfterResponse
{
    /** More than one request changes by hand; the rest waits for the next reader or the minutes of the day. */
    private const MOST = 5;

    public function __construct(
        private MarkChanged $changes,
        private Renewal $renewal,
    ) {
    }

    public function __invoke(TerminateEvent $event): void
    {
        $marked = $this->changes->marked();
        $this->changes->reset();
        if ([] !== $marked) {
            $this->renewal->renew(self::MOST, $marked);
        }
    }
}
