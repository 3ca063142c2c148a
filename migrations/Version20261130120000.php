<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * One dose of record an item.
 *
 * It is the newest prescribed one; where there is none, the lowest that any current routine has, part by part and with
 * the longest rest, noted as moved. Current routines keep the number of sets; what they had of difficulty is the
 * record's. Routines of earlier days stay as they were.
 */
final class Version20261130120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The dose of record with its source; routines keep sets only';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE prescribed_dose ADD source VARCHAR(10) DEFAULT 'therapist' NOT NULL");
        $this->addSql("ALTER TABLE prescribed_dose ADD proposal_key VARCHAR(200) DEFAULT '' NOT NULL");
        $this->addSql(
            'ALTER TABLE prescribed_dose ALTER source DROP DEFAULT, ALTER proposal_key DROP DEFAULT',
        );
        $this->addSql(
            <<<'SQL'
                CREATE TEMPORARY TABLE current_routine ON COMMIT DROP AS
                SELECT DISTINCT ON (client_id, kind) * FROM routine ORDER BY client_id, kind, made_at DESC, id DESC
                SQL,
        );
        $this->addSql(
            <<<'SQL'
                INSERT INTO prescribed_dose (
                    id, clinic_id, client_id, item_key, dose, by_staff_id, at, source, proposal_key
                )
                SELECT gen_random_uuid(), min(r.clinic_id::text)::uuid, r.client_id, keyed.item_key,
                    json_build_object(
                        'sets', min((dose->>'sets')::int),
                        'repetitions', min((dose->>'repetitions')::int),
                        'parts', min((dose->>'parts')::int),
                        'move', min((dose->>'move')::int),
                        'hold', min((dose->>'hold')::int),
                        'rest', max((dose->>'rest')::int),
                        'load', min((dose->>'load')::double precision)
                    ),
                    min(r.by_staff_id::text)::uuid, max(r.made_at), 'moved', ''
                FROM current_routine r
                CROSS JOIN LATERAL json_array_elements(r.items) AS i (item)
                CROSS JOIN LATERAL (
                    SELECT item->>'rung' || '|' || (item->>'hands') AS item_key, item->'dose' AS dose
                ) AS keyed
                WHERE coalesce((item->>'pause')::boolean, false) = false AND NOT EXISTS (
                    SELECT 1 FROM prescribed_dose d WHERE d.client_id = r.client_id AND d.item_key = keyed.item_key
                )
                GROUP BY r.client_id, keyed.item_key
                SQL,
        );
        $this->addSql(
            <<<'SQL'
                UPDATE routine SET items = coalesce((
                    SELECT json_agg(
                        (item::jsonb - 'dose') || jsonb_build_object('sets', item->'dose'->'sets') ORDER BY nth
                    )
                    FROM json_array_elements(routine.items) WITH ORDINALITY AS i (item, nth)
                ), '[]')
                WHERE id IN (SELECT id FROM current_routine)
                SQL,
        );
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('A routine no longer has doses of its own.');
    }
}
