<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Clinics and their people, clients, readings, plans, sittings, decisions, the audit trail, sessions and rate
 * limits.
 */
final class Version20261124000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'First tables';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE approved_rung (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, rung_id '
                .'VARCHAR(60) NOT NULL, side VARCHAR(5) NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH '
                .'TIME ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX approved_by_client ON approved_rung (client_id)');
        $this->addSql(
            'CREATE TABLE audit_line (id UUID NOT NULL, clinic_id UUID NOT NULL, staff_id UUID NOT NULL, action '
                .'VARCHAR(60) NOT NULL, client_id UUID NOT NULL, subject_id VARCHAR(80) NOT NULL, at TIMESTAMP(0) '
                .'WITH TIME ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX audit_by_client ON audit_line (clinic_id, client_id, at)');
        $this->addSql(
            'CREATE TABLE client (id UUID NOT NULL, version INT DEFAULT 1 NOT NULL, given_name VARCHAR(80) NOT NULL, '
                .'family_name VARCHAR(80) NOT NULL, birth_year INT DEFAULT NULL, zone VARCHAR(60) NOT NULL, '
                .'conditions JSON NOT NULL, affected JSON NOT NULL, unaffected JSON NOT NULL, writing_hand '
                .'VARCHAR(5) NOT NULL, minutes INT NOT NULL, days_per_week INT NOT NULL, stamina VARCHAR(10) NOT '
                .'NULL, helper VARCHAR(120) NOT NULL, helper_present BOOLEAN NOT NULL, materials JSON DEFAULT NULL, '
                .'goal_key VARCHAR(40) NOT NULL, goal_words VARCHAR(200) NOT NULL, injected_on DATE DEFAULT NULL, '
                .'story VARCHAR(300) NOT NULL, archived_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, clinic_id UUID '
                .'NOT NULL, therapist_id UUID NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY '
                .'(id))',
        );
        $this->addSql('CREATE INDEX client_by_clinic ON client (clinic_id, family_name)');
        $this->addSql(
            'CREATE TABLE clinic (id UUID NOT NULL, name VARCHAR(120) NOT NULL, emergency_number VARCHAR(40) NOT '
                .'NULL, whom_to_call VARCHAR(200) NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql(
            'CREATE TABLE decision (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, proposal_key '
                .'VARCHAR(200) NOT NULL, kind VARCHAR(40) NOT NULL, text VARCHAR(600) NOT NULL, answer VARCHAR(10) '
                .'NOT NULL, note VARCHAR(300) NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE '
                .'NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX decision_once ON decision (client_id, proposal_key)');
        $this->addSql(
            'CREATE TABLE log_entry (hurt_later BOOLEAN NOT NULL, id UUID NOT NULL, clinic_id UUID NOT NULL, '
                .'client_id UUID NOT NULL, sitting_id UUID NOT NULL, item INT NOT NULL, rung_id VARCHAR(60) NOT '
                .'NULL, hands VARCHAR(10) NOT NULL, dose JSON NOT NULL, body JSON NOT NULL, body_hash VARCHAR(64) '
                .'NOT NULL, day DATE NOT NULL, clock_off BOOLEAN NOT NULL, device_at TIMESTAMP(0) WITH TIME ZONE NOT '
                .'NULL, received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, by_staff_id UUID NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX log_by_client ON log_entry (client_id, received_at)');
        $this->addSql(
            'CREATE TABLE placement_override (id UUID NOT NULL, withdrawn_at TIMESTAMP(0) WITH TIME ZONE DEFAULT '
                .'NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, ladder_key VARCHAR(40) NOT NULL, side '
                .'VARCHAR(5) NOT NULL, rung_id VARCHAR(60) NOT NULL, note VARCHAR(300) NOT NULL, by_staff_id UUID '
                .'NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX override_by_client ON placement_override (client_id)');
        $this->addSql(
            'CREATE TABLE prescribed_dose (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, '
                .'item_key VARCHAR(80) NOT NULL, dose JSON NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH '
                .'TIME ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX dose_by_client ON prescribed_dose (client_id, at)');
        $this->addSql(
            'CREATE TABLE reading (id UUID NOT NULL, replaced_by_id UUID DEFAULT NULL, clinic_id UUID NOT NULL, '
                .'client_id UUID NOT NULL, visit_id UUID NOT NULL, code VARCHAR(40) NOT NULL, side VARCHAR(5) '
                .'DEFAULT NULL, mode VARCHAR(7) DEFAULT NULL, argument VARCHAR(60) DEFAULT NULL, number DOUBLE '
                .'PRECISION DEFAULT NULL, yes BOOLEAN DEFAULT NULL, word VARCHAR(10) DEFAULT NULL, on_day DATE NOT '
                .'NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, by_staff_id UUID NOT NULL, reason VARCHAR(200) NOT '
                .'NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX reading_by_client ON reading (client_id, on_day, at)');
        $this->addSql(
            'CREATE TABLE routine (id UUID NOT NULL, version INT DEFAULT 1 NOT NULL, clinic_id UUID NOT NULL, '
                .'client_id UUID NOT NULL, items JSON NOT NULL, left_out JSON NOT NULL, with_more JSON NOT NULL, '
                .'proved_best BOOLEAN NOT NULL, by_staff_id UUID NOT NULL, made_at TIMESTAMP(0) WITH TIME ZONE NOT '
                .'NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX routine_by_client ON routine (client_id, made_at)');
        $this->addSql(
            'CREATE TABLE screening_answer (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, '
                .'question_id VARCHAR(40) NOT NULL, answer VARCHAR(10) NOT NULL, asked_on DATE NOT NULL, by_staff_id '
                .'UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql(
            'CREATE INDEX screening_by_client ON screening_answer (client_id, asked_on, at)',
        );
        $this->addSql(
            'CREATE TABLE sitting (id UUID NOT NULL, finished_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, note TEXT '
                .'NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, items JSON NOT NULL, day DATE NOT '
                .'NULL, pain_before INT DEFAULT NULL, by_staff_id UUID NOT NULL, started_at TIMESTAMP(0) WITH TIME '
                .'ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX sitting_by_client ON sitting (client_id, started_at)');
        $this->addSql(
            'CREATE TABLE staff (id UUID NOT NULL, password VARCHAR(255) NOT NULL, active BOOLEAN NOT NULL, '
                .'clinic_id UUID NOT NULL, email VARCHAR(180) NOT NULL, name VARCHAR(120) NOT NULL, role VARCHAR(20) '
                .'NOT NULL, for_demo BOOLEAN NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_426EF392E7927C74 ON staff (email)');
        $this->addSql(
            'CREATE TABLE suspension (id UUID NOT NULL, reopened_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, '
                .'reopened_by_id UUID DEFAULT NULL, reopened_note VARCHAR(300) NOT NULL, clinic_id UUID NOT NULL, '
                .'client_id UUID NOT NULL, item_key VARCHAR(80) NOT NULL, why VARCHAR(300) NOT NULL, at TIMESTAMP(0) '
                .'WITH TIME ZONE NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX suspension_by_client ON suspension (client_id)');
        $this->addSql(
            'CREATE TABLE visit (id UUID NOT NULL, note TEXT NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT '
                .'NULL, on_day DATE NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, '
                .'PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX visit_by_client ON visit (client_id, on_day)');
        $this->addSql(
            'CREATE TABLE cache_items (item_id VARCHAR(255) NOT NULL, item_data BYTEA NOT NULL, item_lifetime INT '
                .'DEFAULT NULL, item_time INT NOT NULL, PRIMARY KEY (item_id))',
        );
        $this->addSql(
            'CREATE TABLE web_session (id VARCHAR(128) NOT NULL, data BYTEA NOT NULL, lifetime INT NOT NULL, time '
                .'INT NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX lifetime_idx ON web_session (lifetime)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE approved_rung');
        $this->addSql('DROP TABLE audit_line');
        $this->addSql('DROP TABLE client');
        $this->addSql('DROP TABLE clinic');
        $this->addSql('DROP TABLE decision');
        $this->addSql('DROP TABLE log_entry');
        $this->addSql('DROP TABLE placement_override');
        $this->addSql('DROP TABLE prescribed_dose');
        $this->addSql('DROP TABLE reading');
        $this->addSql('DROP TABLE routine');
        $this->addSql('DROP TABLE screening_answer');
        $this->addSql('DROP TABLE sitting');
        $this->addSql('DROP TABLE staff');
        $this->addSql('DROP TABLE suspension');
        $this->addSql('DROP TABLE visit');
        $this->addSql('DROP TABLE cache_items');
        $this->addSql('DROP TABLE web_session');
    }
}
