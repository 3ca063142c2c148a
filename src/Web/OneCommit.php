<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Doctrine\DBAL\Connection;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Contracts\Service\ResetInterface;

/**
 * What a request changes, with all that follows from it and the line of the audit, is one commit: wherever the server
 * stops, all of it is kept or nothing. It is kept before the answer goes out.
 */
final class OneCommit implements ResetInterface
{
    private bool $isOpen = false;

    public function __construct(
        private readonly Connection $connection,
    ) {
    }

    /** After the person is known, before anything is written. */
    #[AsEventListener(KernelEvents::REQUEST, priority: 5)]
    public function begin(RequestEvent $event): void
    {
        if ($event->isMainRequest() && !$event->getRequest()->isMethodSafe()) {
            $this->connection->beginTransaction();
            $this->isOpen = true;
        }
    }

    /** Before anybody makes a page of the failure. */
    #[AsEventListener(KernelEvents::EXCEPTION, priority: 512)]
    public function takeBack(ExceptionEvent $event): void
    {
        if ($event->isMainRequest()) {
            $this->rollBack();
        }
    }

    /** After everybody who adds to the answer, before the session is written. */
    #[AsEventListener(KernelEvents::RESPONSE, priority: -900)]
    public function keep(ResponseEvent $event): void
    {
        if ($this->isOpen && $event->isMainRequest()) {
            $this->isOpen = false;
            $this->connection->commit();
        }
    }

    public function reset(): void
    {
        $this->rollBack();
    }

    private function rollBack(): void
    {
        if (!$this->isOpen) {
            return;
        }
        $this->isOpen = false;
        while ($this->connection->isTransactionActive()) {
            $this->connection->rollBack();
        }
    }
}
