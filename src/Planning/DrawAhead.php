<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Event\PostUpdateEventArgs;
use Doctrine\ORM\Events;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Content\Pictures\TaskPictures;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Draws what a routine shows as soon as it is kept, after the answer has gone out: a sitting that is begun finds its
 * pictures, also the first one.
 */
#[AsDoctrineListener(Events::postPersist)]
#[AsDoctrineListener(Events::postUpdate)]
final class DrawAhead implements ResetInterface
{
    /** A request that is answered does not hold its process for longer; the rest is drawn when it is asked for. */
    private const SECONDS = 20.0;

    /** @var array<string, SavedRoutine> by id: kept since the last drawing */
    private array $kept = [];

    public function __construct(
        private readonly HandPictures $pictures,
        private readonly TaskPictures $tasks,
        private readonly CatalogueStore $catalogue,
        private readonly ClientRepository $clients,
        #[Autowire('%garden.draws_ahead%')]
        private readonly bool $isOn,
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

    #[AsEventListener(KernelEvents::TERMINATE, priority: -200)]
    public function afterTheAnswer(TerminateEvent $event): void
    {
        $this->draw(self::SECONDS);
    }

    public function draw(float $seconds = \INF): void
    {
        $until = microtime(true) + $seconds;
        $kept = $this->isOn ? $this->kept : [];
        $this->reset();
        foreach ($kept as $routine) {
            $client = $this->clients->find($routine->clinicId, $routine->clientId);
            $worse = $client?->affected()[0] ?? null;
            if (null !== $worse) {
                $this->drawItems($routine, $worse, $until);
            }
        }
    }

    private function drawItems(SavedRoutine $routine, Side $worse, float $until): void
    {
        foreach ((new RoutineFormat($this->catalogue->get()))->read($routine->items) as $item) {
            if (microtime(true) < $until) {
                $this->pictures->drawAll($this->tasks->of($item), $item->hands->shown($worse));
            }
        }
    }

    public function reset(): void
    {
        $this->kept = [];
    }

    private function see(object $record): void
    {
        if ($record instanceof SavedRoutine) {
            $this->kept[$record->id] = $record;
        }
    }
}
