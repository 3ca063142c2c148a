<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Symfony\Component\EventDispatcher\EventSubscriberInterface;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/**
 * Keeps every page that a test opens, when HG_KEEP_PAGES names a folder; tests/Architecture/same-pages.php compares two
 * such folders.
 */
final class KeptPages implements EventSubscriberInterface
{
    private static string $test = '';

    private static int $opened = 0;

    public static function of(string $test): void
    {
        self::$test = $test;
        self::$opened = 0;
    }

    public static function getSubscribedEvents(): array
    {
        return [KernelEvents::RESPONSE => ['keep', -1000]];
    }

    public function keep(ResponseEvent $event): void
    {
        $folder = getenv('HG_KEEP_PAGES');
        $response = $event->getResponse();
        if (
            !\is_string($folder)
            || '' === $folder
            || !str_starts_with((string) $response->getContent(), '<')
        ) {
            return;
        }
        $name = preg_replace('/[^A-Za-z0-9]+/', '-', self::$test);
        $file = \sprintf('%s/%s-%03d.html', $folder, $name, ++self::$opened);
        file_put_contents($file, $response->getContent());
    }
}
