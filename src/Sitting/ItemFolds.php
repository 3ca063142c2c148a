<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Sitting\ItemEvent;

/** Keeps what the events of items say together, as many items at a time as there are. */
final readonly class ItemFolds
{
    private const KEEP = 'UPDATE sitting_item SET told = folded.told, day = folded.day, at = folded.at
        FROM jsonb_populate_recordset(NULL::sitting_item, ?) AS folded
        WHERE sitting_item.id = folded.id';

    public function __construct(
        private Connection $connection,
        private EntityManagerInterface $entities,
        private ItemMemories $memories,
    ) {
    }

    /**
     * @param list<SittingItem>           $items  of one sitting
     * @param array<string, SittingEvent> $events all of theirs, and those of the sitting as a whole
     *
     * @return bool whether anything says something else now
     */
    public function renew(array $items, array $events): bool
    {
        $counting = self::counting($events);
        $changed = $remembered = [];
        foreach ($items as $item) {
            $before = clone $item;
            $this->entities->detach($item); // it is written here, once
            $item->keep(Fold::item(self::of($item, $counting)));
            if ($item->saysAs($before)) {
                continue;
            }
            $changed[] = $item;
            if (!$item->countsAs($before)) {
                $remembered[] = $item;
            }
        }
        if ([] === $changed) {
            return false;
        }
        $this->connection->executeStatement(self::KEEP, [
            json_encode(
                array_map(static fn (SittingItem $i): array => $i->foldedRow(), $changed),
                \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
            ),
        ]);
        $this->memories->renew($remembered);

        return true;
    }

    /**
     * @param array<string, SittingEvent> $events
     *
     * @return array<string, SittingEvent> without what is kept aside
     */
    private static function counting(array $events): array
    {
        $aside = SetAside::of($events);

        return array_filter(
            $events,
            static fn (SittingEvent $e): bool => !$aside->holds($e),
        );
    }

    /**
     * @param array<string, SittingEvent> $events
     *
     * @return list<ItemEvent>
     */
    private static function of(SittingItem $item, array $events): array
    {
        $own = [];
        foreach ($events as $event) {
            $isOfAll = null === $event->itemId;
            if ($isOfAll || $event->itemId === $item->id) {
                $own[] = $event->folded();
            }
        }

        return $own;
    }
}
