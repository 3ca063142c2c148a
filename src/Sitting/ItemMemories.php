<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;

/**
 * What rules with memory read: kept beside the log in the transaction that writes it, so that no rule depends on how
 * many days of log a page reads. It can be made anew from the log at any time.
 */
final readonly class ItemMemories
{
    private const REMEMBER = "INSERT INTO item_memory (client_id, item_key, clinic_id, first_day, last_day)
        SELECT client_id, rung_id || '|' || hands, clinic_id, MIN(day), MAX(day) FROM sitting_item
        WHERE told->>'outcome' <> 'skipped' %s
        GROUP BY client_id, rung_id, hands, clinic_id
        ON CONFLICT (client_id, item_key) DO UPDATE
            SET first_day = EXCLUDED.first_day, last_day = EXCLUDED.last_day";

    public function __construct(
        private Connection $connection,
    ) {
    }

    /**
     * After the log of items of one client changed, inside the transaction that holds the client.
     *
     * @param list<SittingItem> $items
     */
    public function renew(array $items): void
    {
        if ([] === $items) {
            return;
        }
        $keys = [];
        foreach ($items as $item) {
            $key = $item->key()->text();
            $keys[$key] = $key;
        }
        /** @var list<string> $kept */
        $kept = $this->connection->fetchFirstColumn(
            \sprintf(
                self::REMEMBER,
                "AND client_id = ? AND rung_id IN (?) AND rung_id || '|' || hands IN (?)",
            ).' RETURNING item_key',
            [
                $items[0]->clientId,
                array_column($items, 'rungId'), // finds by the index
                array_values($keys),
            ],
            [ParameterType::STRING, ArrayParameterType::STRING, ArrayParameterType::STRING],
        );
        $gone = array_diff_key($keys, array_flip($kept)); // all of it was skipped, or taken back
        if ([] !== $gone) {
            $this->connection->executeStatement(
                'DELETE FROM item_memory WHERE client_id = ? AND item_key IN (?)',
                [$items[0]->clientId, array_values($gone)],
                [ParameterType::STRING, ArrayParameterType::STRING],
            );
        }
    }

    /** Everything from scratch. */
    public function rebuild(): void
    {
        $this->connection->transactional(function (): void {
            $this->connection->executeStatement('DELETE FROM item_memory');
            $this->connection->executeStatement(\sprintf(self::REMEMBER, ''));
        });
    }
}
