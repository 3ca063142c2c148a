<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Sitting\ItemEvent;

/**
 * The log becomes events and their fold.
 *
 * - Each item of a sitting becomes a row with an id of its own: a UUID version 5 of the sitting and the item's place.
 *   An exercise that the catalogue no longer has keeps its row.
 * - Each log line becomes an event under its own id. It finds its item by exercise and hands, nearest to the place it
 *   named and not before it, since an unknown exercise used to shift the places up; where there is none, a row is made.
 * - Late pain becomes an event of its own; start and end of a sitting as well.
 * - A decision names the item it rests on, no longer the line; one that would then have the same name as another keeps
 *   its old name.
 */
final class Version20261129000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Events of sittings and their fold, one row an item';
    }

    public function up(Schema $schema): void
    {
        $this->makeTables();
        $this->addSql('CREATE EXTENSION IF NOT EXISTS "uuid-ossp"');
        $this->moveItems();
        $this->moveLines();
        $this->moveFrames();
        $this->fold();
        $this->addSql(
            <<<'SQL'
                UPDATE decision SET proposal_key = renamed.key FROM (
                    SELECT d.id, regexp_replace(d.proposal_key, '[^|]*$', e.item_id::text) AS key,
                        row_number() OVER (
                            PARTITION BY d.client_id, regexp_replace(d.proposal_key, '[^|]*$', e.item_id::text)
                            ORDER BY d.at, d.id
                        ) AS nth
                    FROM decision d JOIN sitting_event e ON e.id::text = split_part(d.proposal_key, '|', 4)
                    WHERE e.kind = 'line'
                ) AS renamed
                WHERE decision.id = renamed.id AND renamed.nth = 1
                SQL,
        );
        $this->addSql('DROP TABLE log_entry');
        $this->addSql('ALTER TABLE sitting DROP items');
        $this->addSql('DROP EXTENSION "uuid-ossp"');
    }

    /** Where more was told of one item than once, what stands is the fold, as the program makes it. */
    public function postUp(Schema $schema): void
    {
        $events = $this->connection->fetchAllAssociative(
            "SELECT e.id, e.item_id, e.kind, e.at, e.day, e.body FROM sitting_event e
                WHERE e.item_id IN (
                    SELECT item_id FROM sitting_event WHERE kind = 'line' GROUP BY item_id HAVING count(*) > 1
                )",
        );
        $byItem = [];
        foreach ($events as $event) {
            /** @var array{id: string, item_id: string, kind: string, at: string, day: string, body: string} $event */
            $kind = EventKind::from($event['kind']);
            /** @var array<string, mixed> $body */
            $body = json_decode($event['body'], true, 32, \JSON_THROW_ON_ERROR);
            $byItem[$event['item_id']][] = new ItemEvent(
                $event['id'],
                $kind,
                new \DateTimeImmutable($event['at']),
                new \DateTimeImmutable($event['day'], new \DateTimeZone('UTC')),
                told: EventKind::Line === $kind ? LogFormat::kept($body) : null,
            );
        }
        foreach ($byItem as $itemId => $of) {
            $folded = Fold::item($of);
            if (null !== $folded) {
                $this->connection->executeStatement(
                    'UPDATE sitting_item SET told = ?, day = ?, at = ? WHERE id = ?',
                    [
                        json_encode(LogFormat::write($folded->told), \JSON_THROW_ON_ERROR),
                        $folded->day->format('Y-m-d'),
                        $folded->at->format(\DATE_RFC3339),
                        $itemId,
                    ],
                );
            }
        }
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Events say more than lines could keep.');
    }

    private function makeTables(): void
    {
        $this->addSql(
            <<<'SQL'
                CREATE TABLE sitting_item (
                    id UUID NOT NULL,
                    clinic_id UUID NOT NULL,
                    client_id UUID NOT NULL,
                    sitting_id UUID NOT NULL,
                    place INT NOT NULL,
                    planned JSONB NOT NULL,
                    rung_id VARCHAR(80) NOT NULL,
                    hands VARCHAR(10) NOT NULL,
                    told JSONB DEFAULT NULL,
                    day DATE DEFAULT NULL,
                    at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
                    PRIMARY KEY (id)
                )
                SQL,
        );
        $this->addSql('CREATE INDEX sitting_item_of ON sitting_item (sitting_id, place)');
        $this->addSql('CREATE INDEX sitting_item_by_client ON sitting_item (client_id, day)');
        $this->addSql(
            <<<'SQL'
                CREATE TABLE sitting_event (
                    id UUID NOT NULL,
                    clinic_id UUID NOT NULL,
                    client_id UUID NOT NULL,
                    sitting_id UUID NOT NULL,
                    item_id UUID DEFAULT NULL,
                    actor_kind VARCHAR(10) NOT NULL,
                    actor_id VARCHAR(36) NOT NULL,
                    device_id UUID DEFAULT NULL,
                    seq INT DEFAULT NULL,
                    kind VARCHAR(20) NOT NULL,
                    body JSONB NOT NULL,
                    body_hash VARCHAR(64) NOT NULL,
                    device_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                    offset_seconds INT DEFAULT NULL,
                    at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                    day DATE NOT NULL,
                    received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                    PRIMARY KEY (id)
                )
                SQL,
        );
        $this->addSql('CREATE INDEX sitting_event_of ON sitting_event (sitting_id, item_id)');
    }

    private function moveItems(): void
    {
        $this->addSql(
            <<<'SQL'
                INSERT INTO sitting_item (id, clinic_id, client_id, sitting_id, place, planned, rung_id, hands)
                SELECT uuid_generate_v5(s.id, (i.nth - 1)::text), s.clinic_id, s.client_id, s.id, i.nth - 1,
                    i.item, i.item->>'rung', i.item->>'hands'
                FROM sitting s
                CROSS JOIN LATERAL jsonb_array_elements(s.items::jsonb) WITH ORDINALITY AS i (item, nth)
                SQL,
        );
        $this->addSql(
            <<<'SQL'
                INSERT INTO sitting_item (id, clinic_id, client_id, sitting_id, place, planned, rung_id, hands)
                SELECT DISTINCT ON (e.sitting_id, e.rung_id, e.hands)
                    uuid_generate_v5(e.sitting_id, 'line ' || e.rung_id || ' ' || e.hands),
                    e.clinic_id, e.client_id, e.sitting_id, 1000 + e.item,
                    jsonb_build_object('rung', e.rung_id, 'hands', e.hands, 'dose', e.dose::jsonb, 'reason', ''),
                    e.rung_id, e.hands
                FROM log_entry e
                WHERE NOT EXISTS (
                    SELECT 1 FROM sitting_item i
                    WHERE i.sitting_id = e.sitting_id AND i.rung_id = e.rung_id AND i.hands = e.hands
                )
                ORDER BY e.sitting_id, e.rung_id, e.hands, e.received_at
                SQL,
        );
    }

    private function moveLines(): void
    {
        $this->addSql(
            <<<'SQL'
                INSERT INTO sitting_event (
                    id, clinic_id, client_id, sitting_id, item_id, actor_kind, actor_id, kind, body, body_hash,
                    device_at, at, day, received_at
                )
                SELECT e.id, e.clinic_id, e.client_id, e.sitting_id, (
                        SELECT i.id FROM sitting_item i
                        WHERE i.sitting_id = e.sitting_id AND i.rung_id = e.rung_id AND i.hands = e.hands
                        ORDER BY i.place < e.item, abs(i.place - e.item) LIMIT 1
                    ),
                    'staff', e.by_staff_id, 'line', e.body::jsonb, e.body_hash, e.device_at,
                    CASE WHEN e.clock_off THEN e.received_at ELSE e.device_at END, e.day, e.received_at
                FROM log_entry e
                SQL,
        );
        // What a line was done with is what counts, should it differ from what the sitting says.
        $this->addSql(
            <<<'SQL'
                UPDATE sitting_item SET planned = jsonb_set(planned, '{dose}', e.dose::jsonb)
                FROM log_entry e JOIN sitting_event v ON v.id = e.id
                WHERE v.item_id = sitting_item.id AND planned->'dose' IS DISTINCT FROM e.dose::jsonb
                SQL,
        );
        $this->addSql(
            <<<'SQL'
                INSERT INTO sitting_event (
                    id, clinic_id, client_id, sitting_id, item_id, actor_kind, actor_id, kind, body, body_hash,
                    device_at, at, day, received_at
                )
                SELECT uuid_generate_v5(v.id, 'hurt-later'), v.clinic_id, v.client_id, v.sitting_id, v.item_id,
                    'staff', v.actor_id, 'hurt-later', '{}', '', v.received_at, v.received_at, v.day, v.received_at
                FROM log_entry e JOIN sitting_event v ON v.id = e.id
                WHERE e.hurt_later
                SQL,
        );
    }

    private function moveFrames(): void
    {
        $frame = <<<'SQL'
            INSERT INTO sitting_event (
                id, clinic_id, client_id, sitting_id, actor_kind, actor_id, kind, body, body_hash,
                device_at, at, day, received_at
            )
            SELECT uuid_generate_v5(s.id, '%1$s'), s.clinic_id, s.client_id, s.id, 'staff', s.by_staff_id, '%1$s',
                %2$s, '', s.%3$s, s.%3$s, s.day, s.%3$s
            FROM sitting s WHERE s.%3$s IS NOT NULL
            SQL;
        $this->addSql(
            \sprintf($frame, 'begun', "jsonb_build_object('pain_before', s.pain_before)", 'started_at'),
        );
        $this->addSql(\sprintf($frame, 'finished', "jsonb_build_object('note', s.note)", 'finished_at'));
    }

    private function fold(): void
    {
        $this->addSql(
            <<<'SQL'
                UPDATE sitting_item SET told = line.body, day = line.day, at = line.at
                FROM (
                    SELECT DISTINCT ON (v.item_id) v.item_id, v.day, v.at, v.body || CASE WHEN EXISTS (
                        SELECT 1 FROM sitting_event h WHERE h.item_id = v.item_id AND h.kind = 'hurt-later'
                    ) THEN '{"hurt_later": true}'::jsonb ELSE '{}'::jsonb END AS body
                    FROM sitting_event v WHERE v.kind = 'line'
                    ORDER BY v.item_id, v.at, v.id
                ) AS line
                WHERE line.item_id = sitting_item.id
                SQL,
        );
    }
}
