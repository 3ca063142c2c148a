<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Kept rows of the caseload, one a client';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
                CREATE TABLE caseload_row (
                    client_id UUID NOT NULL,
                    clinic_id UUID NOT NULL,
                    therapist_id UUID NOT NULL,
                    archived BOOLEAN NOT NULL,
                    name TEXT NOT NULL,
                    sorted TEXT NOT NULL,
                    about TEXT NOT NULL,
                    changes BIGINT DEFAULT 1 NOT NULL,
                    stale_from TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                    grouped VARCHAR(10) DEFAULT 'quiet' NOT NULL,
                    rank SMALLINT DEFAULT 99 NOT NULL,
                    urgency INT DEFAULT 0 NOT NULL,
                    summary JSON DEFAULT NULL,
                    version INT DEFAULT 0 NOT NULL,
                    made_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
                    failure VARCHAR(300) DEFAULT '' NOT NULL,
                    PRIMARY KEY (client_id)
                )
                SQL,
        );
        $this->addSql('CREATE INDEX caseload_row_listed ON caseload_row (clinic_id, archived, rank)');
        $this->addSql('CREATE INDEX caseload_row_stale ON caseload_row (stale_from)');
        $this->addSql(
            <<<'SQL'
                INSERT INTO caseload_row (
                    client_id, clinic_id, therapist_id, archived, name, sorted, about, stale_from
                )
                SELECT id, clinic_id, therapist_id, archived_at IS NOT NULL, given_name || ' ' || family_name,
                    family_name || ' ' || given_name,
                    CASE story WHEN '' THEN
                        (SELECT string_agg(value, ', ') FROM json_array_elements_text(conditions) AS c (value))
                    ELSE story END,
                    '1970-01-01T00:00:00Z'
                FROM client
                SQL,
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE caseload_row');
    }
}
