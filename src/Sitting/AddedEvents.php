<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Web\Row;

/** Events of a sitting after some were added. */
final readonly class AddedEvents
{
    /**
     * @param array<string, SittingEvent> $all by id: of the items that were asked for, and of the sitting as a whole
     * @param array<string, true>         $new ids of those that were not there before
     */
    private function __construct(
        public array $all,
        public array $new,
    ) {
    }

    /** @param list<array<string, mixed>> $rows */
    public static function found(array $rows): self
    {
        $all = $new = [];
        foreach ($rows as $values) {
            $row = new Row($values);
            $event = SittingEvent::kept($row);
            $all[$event->id] = $event;
            if (true === $row->bool('is_new')) {
                $new[$event->id] = true;
            }
        }

        return new self($all, $new);
    }

    /** As it is kept; null: under its name something else is kept, here or of another sitting. */
    public function takenAs(SittingEvent $told): ?SittingEvent
    {
        $kept = $this->all[$told->id] ?? null;

        return $kept?->bodyHash === $told->bodyHash ? $kept : null;
    }
}
