<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261208000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'People are invited, have a second factor, and their tries to sign in are counted';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE staff
            ADD password_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            ADD signed_in_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            ADD second_factor VARCHAR(255) DEFAULT NULL,
            ADD second_factor_step BIGINT DEFAULT 0 NOT NULL,
            ADD recovery_codes JSONB DEFAULT \'[]\' NOT NULL');
        $this->addSql('ALTER TABLE staff
            ALTER second_factor_step DROP DEFAULT, ALTER recovery_codes DROP DEFAULT');
        $this->addSql('CREATE INDEX staff_by_clinic ON staff (clinic_id, name)');
        $this->addSql('CREATE UNLOGGED TABLE sign_in_try (
            key CHAR(64) NOT NULL PRIMARY KEY, filled DOUBLE PRECISION NOT NULL,
            at TIMESTAMP(6) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE TABLE account_code (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, staff_id UUID NOT NULL, kind VARCHAR(10) NOT NULL,
            hash CHAR(64) NOT NULL, made_by UUID DEFAULT NULL, made_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            ends_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, used_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL)');
        $this->addSql('CREATE UNIQUE INDEX account_code_once ON account_code (hash)');
        $this->addSql('CREATE INDEX account_code_of ON account_code (staff_id, kind)');
        $this->addSql('ALTER TABLE clinic ADD wants_second_factor_of_leads BOOLEAN DEFAULT FALSE NOT NULL');
        $this->addSql('ALTER TABLE clinic ALTER wants_second_factor_of_leads DROP DEFAULT');
        $this->addSql('ALTER TABLE clinic ADD zone VARCHAR(60) DEFAULT \'UTC\' NOT NULL');
        $this->addSql('ALTER TABLE clinic ALTER zone DROP DEFAULT');
        $this->addSql("ALTER TABLE clinic
            ADD settings JSONB DEFAULT '{}' NOT NULL, ADD phone VARCHAR(40) DEFAULT '' NOT NULL,
            ADD out_of_hours_phone VARCHAR(40) DEFAULT '' NOT NULL, ADD hours JSONB DEFAULT '{}' NOT NULL,
            ADD holidays JSONB DEFAULT '[]' NOT NULL, ADD paper_text VARCHAR(400) DEFAULT '' NOT NULL");
        // what was set keeps its value, under the key of its setting
        $this->addSql("UPDATE clinic SET settings =
            (SELECT coalesce(jsonb_object_agg('weights.' || w.key, w.value), '{}') FROM jsonb_each(
                CASE jsonb_typeof(routine_weights) WHEN 'object' THEN routine_weights ELSE '{}' END) AS w)
            || CASE sitting_minutes WHEN 45 THEN '{}'::jsonb
                ELSE jsonb_build_object('sitting.clinicMinutes', sitting_minutes) END");
        $this->addSql('ALTER TABLE clinic
            ALTER settings DROP DEFAULT, ALTER phone DROP DEFAULT, ALTER out_of_hours_phone DROP DEFAULT,
            ALTER hours DROP DEFAULT, ALTER holidays DROP DEFAULT, ALTER paper_text DROP DEFAULT,
            DROP routine_weights, DROP sitting_minutes');
        $this->addSql('CREATE TABLE setting_change (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, key VARCHAR(60) NOT NULL,
            value DOUBLE PRECISION DEFAULT NULL, by_staff_id UUID NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE INDEX setting_change_of ON setting_change (clinic_id, key, at)');
        $this->addSql('CREATE TABLE deputy (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, for_staff_id UUID NOT NULL,
            deputy_id UUID NOT NULL, from_day DATE NOT NULL, until_day DATE NOT NULL, by_staff_id UUID NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL)');
        $this->addSql('CREATE INDEX deputy_by_clinic ON deputy (clinic_id, until_day)');
        $this->addSql('CREATE INDEX audit_by_time ON audit_line (clinic_id, at, id)');
        $this->addSql('CREATE TABLE kept_mail (
            id UUID NOT NULL PRIMARY KEY, recipient VARCHAR(180) NOT NULL, subject VARCHAR(200) NOT NULL,
            text TEXT NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE TABLE starting_point (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, name VARCHAR(80) NOT NULL,
            of_condition VARCHAR(40) DEFAULT NULL, shape JSONB NOT NULL, by_staff_id UUID NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL)');
        $this->addSql('CREATE INDEX starting_point_by_clinic ON starting_point (clinic_id, name)');
        $this->addSql('DROP TABLE cache_items');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('CREATE TABLE cache_items (item_id VARCHAR(255) NOT NULL, item_data BYTEA NOT NULL,
            item_lifetime INT DEFAULT NULL, item_time INT NOT NULL, PRIMARY KEY (item_id))');
        $this->addSql('DROP TABLE starting_point');
        $this->addSql('DROP TABLE kept_mail');
        $this->addSql('DROP INDEX audit_by_time');
        $this->addSql('DROP TABLE setting_change');
        $this->addSql("ALTER TABLE clinic ADD sitting_minutes INT DEFAULT 45 NOT NULL,
            ADD routine_weights JSONB DEFAULT '[]' NOT NULL");
        $this->addSql("UPDATE clinic SET
            sitting_minutes = coalesce((settings ->> 'sitting.clinicMinutes')::int, 45),
            routine_weights = coalesce((SELECT jsonb_object_agg(substr(w.key, 9), w.value)
                FROM jsonb_each(settings) AS w WHERE w.key LIKE 'weights.%'), '[]')");
        $this->addSql(
            'ALTER TABLE clinic ALTER sitting_minutes DROP DEFAULT, ALTER routine_weights DROP DEFAULT,
            DROP settings, DROP phone, DROP out_of_hours_phone, DROP hours, DROP holidays, DROP paper_text',
        );
        $this->addSql('DROP TABLE deputy');
        $this->addSql('ALTER TABLE clinic DROP zone, DROP wants_second_factor_of_leads');
        $this->addSql('DROP TABLE account_code');
        $this->addSql('DROP TABLE sign_in_try');
        $this->addSql('DROP INDEX staff_by_clinic');
        $this->addSql('ALTER TABLE staff DROP password_at, DROP signed_in_at, DROP second_factor,
            DROP second_factor_step, DROP recovery_codes');
    }
}
