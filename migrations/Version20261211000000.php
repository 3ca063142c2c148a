<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261211000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Alerts are seen, talked about and answered with an act; the leads get what waits too long';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE alert
            ADD seen_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            ADD seen_by_id UUID DEFAULT NULL,
            ADD act VARCHAR(12) DEFAULT NULL,
            ADD next JSONB DEFAULT '[]' NOT NULL,
            ADD look_on DATE DEFAULT NULL,
            ADD looked_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            ADD words VARCHAR(700) DEFAULT '' NOT NULL");
        foreach (['next', 'words'] as $column) {
            $this->addSql("ALTER TABLE alert ALTER {$column} DROP DEFAULT");
        }
        $this->addSql('CREATE TABLE alert_note (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, client_id UUID NOT NULL, alert_id UUID NOT NULL,
            kind VARCHAR(12) NOT NULL, text VARCHAR(300) NOT NULL, by_staff_id UUID DEFAULT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE INDEX alert_note_of ON alert_note (alert_id, at)');
        $this->addSql(
            "CREATE INDEX sitting_event_wrong ON sitting_event (client_id, received_at) WHERE kind = 'wrong'",
        );
        $this->addSql('ALTER TABLE caseload_row ADD lead_from TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL');
        $this->addSql("ALTER TABLE client ADD phone VARCHAR(40) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE client ALTER phone DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE client DROP phone');
        $this->addSql('ALTER TABLE caseload_row DROP lead_from');
        $this->addSql('DROP INDEX sitting_event_wrong');
        $this->addSql('DROP TABLE alert_note');
        $this->addSql('ALTER TABLE alert DROP seen_at, DROP seen_by_id, DROP act, DROP next, DROP look_on,
            DROP looked_at, DROP words');
    }
}
