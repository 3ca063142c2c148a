<?php

declare(strict_types=1);

namespace HandGarden\Bench\Fuzz;

use Symfony\Component\EventDispatcher\EventSubscriberInterface;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** Remembers why the last request failed, which its page does not tell. */
final class Failures implements EventSubscriberInterface
{
    private static string $last = '';

    public static function last(): string
    {
        return self::$last;
    }

    public static function getSubscribedEvents(): array
    {
        return [KernelEvents::EXCEPTION => ['see', 2000]];
    }

    public function see(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        $place = basename($error->getFile()).':'.$error->getLine();
        foreach ($error->getTrace() as $step) {
            if (
                isset($step['file'], $step['line'])
                && str_contains($step['file'], '/src/')
                && !str_contains($step['file'], '/vendor/')
            ) {
                $place = basename($step['file']).':'.$step['line'];
                break;
            }
        }
        self::$last = \sprintf('%s: %s (%s)', $error::class, substr($error->getMessage(), 0, 160), $place);
    }
}
