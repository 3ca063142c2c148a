<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\ClientChanged;
use HandGarden\Core\Sitting\EventKind;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/** Keeps events and what they make of their items, in the transaction of whoever calls. */
final readonly class EventKeeper
{
    private const OF_ALL = [EventKind::After, EventKind::Looked, EventKind::TakenOut];

    public function __construct(
        private EventStore $events,
        private ItemFolds $folds,
        private EventDispatcherInterface $dispatcher,
    ) {
    }

    /**
     * @param non-empty-list<SittingEvent> $events of one sitting
     * @param list<SittingItem>            $items  of that sitting
     */
    public function keep(array $events, array $items): AddedEvents
    {
        $touched = self::touchedBy($events, $items);
        $added = $this->events->add($events, $touched);
        if ([] !== $added->new && $this->folds->renew($touched, $added->all)) {
            $this->dispatcher->dispatch(new ClientChanged($events[0]->clientId));
        }

        return $added;
    }

    /**
     * @param list<SittingEvent> $events
     * @param list<SittingItem>  $items
     *
     * @return list<SittingItem> what is told at the end, or looked at, is of all items
     */
    private static function touchedBy(array $events, array $items): array
    {
        $named = [];
        foreach ($events as $event) {
            if (\in_array($event->kind, self::OF_ALL, true)) {
                return $items;
            }
            $named[$event->itemId ?? ''] = true;
        }

        return array_values(
            array_filter(
                $items,
                static fn (SittingItem $i): bool => isset($named[$i->id]),
            ),
        );
    }
}
