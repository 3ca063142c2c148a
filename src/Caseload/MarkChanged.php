<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Event\PostRemoveEventArgs;
use Doctrine\ORM\Event\PostUpdateEventArgs;
use Doctrine\ORM\Events;
use HandGarden\Client\Client;
use HandGarden\Client\ClientChanged;
use HandGarden\Client\TellsOfClient;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Contracts\Service\ResetInterface;

/** Marks a client's row as stale whenever a record that tells of them is written, in the same transaction. */
#[AsDoctrineListener(Events::postPersist)]
#[AsDoctrineListener(Events::postUpdate)]
#[AsDoctrineListener(Events::postRemove)]
final class MarkChanged implements ResetInterface
{
    /** @var array<string, true> by client id: marked since the last reset */
    private array $marked = [];

    public function __construct(
        private readonly Caseload $caseload,
    ) {
    }

    public function postPersist(PostPersistEventArgs $event): void
    {
        $this->see($event->getObject());
    }

    public function postUpdate(PostUpdateEventArgs $event): void
    {
        $this->see($event->getObject());
    }

    public function postRemove(PostRemoveEventArgs $event): void
    {
        $this->see($event->getObject());
    }

    /** A sitting tells every few seconds: its row is worked out for whoever looks, or when the minute is over. */
    #[AsEventListener]
    public function changed(ClientChanged $event): void
    {
        $this->caseload->mark($event->clientId);
    }

    /** @return list<string> client ids */
    public function marked(): array
    {
        return array_keys($this->marked);
    }

    public function reset(): void
    {
        $this->marked = [];
    }

    private function see(object $record): void
    {
        if (!$record instanceof TellsOfClient) {
            return;
        }
        if ($record instanceof Client) {
            $this->caseload->enter($record);
        } else {
            $this->caseload->mark($record->ofClient());
        }
        $this->marked[$record->ofClient()] = true;
    }
}
