<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261204000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who was shown what, who is signed off, what holds down, alerts, usual pain, what was injected';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE sitting ADD unaided BOOLEAN DEFAULT false NOT NULL');
        $this->addSql('ALTER TABLE sitting ALTER unaided DROP DEFAULT');
        $this->addSql('ALTER TABLE client ADD helper_briefed_on DATE DEFAULT NULL');
        $this->addSql("ALTER TABLE client ADD injected_sides JSON DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE client ADD injected_muscles JSON DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE client ALTER injected_sides DROP DEFAULT');
        $this->addSql('ALTER TABLE client ALTER injected_muscles DROP DEFAULT');
        $this->addSql(<<<'SQL'
            CREATE TABLE shown_rung (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                rung_id VARCHAR(60) NOT NULL, side VARCHAR(5) NOT NULL, by_staff_id UUID NOT NULL,
                at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))
            SQL);
        $this->addSql('CREATE INDEX shown_by_client ON shown_rung (client_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE sign_off (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                helper VARCHAR(120) NOT NULL, rung_id VARCHAR(60) NOT NULL, side VARCHAR(5) NOT NULL,
                until DATE NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))
            SQL);
        $this->addSql('CREATE INDEX signed_by_client ON sign_off (client_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE usual_pain (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                part VARCHAR(12) NOT NULL, side VARCHAR(5) NOT NULL, level SMALLINT NOT NULL,
                cause VARCHAR(200) NOT NULL, by_staff_id UUID NOT NULL,
                at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))
            SQL);
        $this->addSql('CREATE INDEX usual_pain_by_client ON usual_pain (client_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE restraint (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                proposal_key VARCHAR(255) NOT NULL, proposal JSONB NOT NULL,
                since TIMESTAMP(0) WITH TIME ZONE NOT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
                PRIMARY KEY(id))
            SQL);
        $this->addSql('CREATE UNIQUE INDEX restraint_once ON restraint (client_id, proposal_key)');
        $this->addSql(<<<'SQL'
            CREATE TABLE alert (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                kind VARCHAR(12) NOT NULL, item_key VARCHAR(80) NOT NULL, why JSONB NOT NULL,
                begun_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, owner_id UUID NOT NULL,
                answered_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, answered_by_id UUID DEFAULT NULL,
                note VARCHAR(300) NOT NULL, PRIMARY KEY(id))
            SQL);
        $this->addSql('CREATE INDEX alert_by_client ON alert (client_id, answered_at)');
    }

    public function down(Schema $schema): void
    {
        foreach (['shown_rung', 'sign_off', 'usual_pain', 'restraint', 'alert'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        $this->addSql(
            'ALTER TABLE sitting DROP unaided',
        );
        $this->addSql(
            'ALTER TABLE client DROP helper_briefed_on, DROP injected_sides, DROP injected_muscles',
        );
    }
}
