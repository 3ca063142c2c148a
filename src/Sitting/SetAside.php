<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Sitting\Aside;
use HandGarden\Core\Sitting\EventKind;

/** What of a sitting is kept, and counts only once a therapist has looked. */
final readonly class SetAside
{
    /**
     * @param Aside              $whole what came late, or from a device that was out
     * @param Aside              $hands of what was done by hands that were not signed for it
     * @param array<string, true> $items those, by id
     */
    private function __construct(
        private Aside $whole,
        private Aside $hands,
        private array $items,
    ) {
    }

    /** @param array<array-key, SittingEvent> $events of one sitting, those of the whole among them */
    public static function of(array $events): self
    {
        $of = static fn (EventKind $kind): array => array_values(array_filter(
            $events,
            static fn (SittingEvent $e): bool => $kind === $e->kind,
        ));
        $received = array_values(array_map(static fn (SittingEvent $e) => $e->receivedAt, $events));
        $looked = array_map(static fn (SittingEvent $e) => $e->receivedAt, $of(EventKind::Looked));
        $items = [];
        foreach ($of(EventKind::Unsigned) as $event) {
            $items[$event->itemId ?? ''] = true;
        }

        return new self(
            Aside::of(
                $received,
                $looked,
                array_map(static fn (SittingEvent $e) => $e->at, $of(EventKind::TakenOut)),
            ),
            Aside::of($received, $looked, [] === $received ? [] : [min($received)]),
            $items,
        );
    }

    /** What a person types in without a device is never set aside. */
    public function holds(SittingEvent $event): bool
    {
        return null !== $event->deviceId && (
            $this->whole->holds($event->receivedAt)
            || (isset($this->items[$event->itemId ?? '']) && $this->hands->holds($event->receivedAt))
        );
    }
}
