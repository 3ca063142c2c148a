<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261215000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'At home: devices let in, plans handed out, sittings that may be begun there, consents, messages, diary';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE home_device (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            person VARCHAR(10) NOT NULL, label VARCHAR(60) NOT NULL, made_by_id UUID NOT NULL,
            made_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, secret_hash VARCHAR(64) NOT NULL,
            secret_since TIMESTAMP(0) WITH TIME ZONE NOT NULL, previous_hash VARCHAR(64) DEFAULT NULL,
            last_seen_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, unsent INT NOT NULL,
            taken_out_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, taken_out_by_id UUID DEFAULT NULL,
            taken_out_why VARCHAR(20) DEFAULT NULL, lost_since TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            emptied_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE UNIQUE INDEX home_device_secret ON home_device (secret_hash)');
        $this->addSql('CREATE UNIQUE INDEX home_device_previous ON home_device (previous_hash)');
        $this->addSql('CREATE INDEX home_device_of ON home_device (client_id)');
        $this->addSql(
            'CREATE TABLE home_pairing (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            person VARCHAR(10) NOT NULL, label VARCHAR(60) NOT NULL, code_hash VARCHAR(64) NOT NULL,
            made_by_id UUID NOT NULL, made_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, key_hash VARCHAR(64) DEFAULT NULL,
            claimed_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            confirmed_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            device_id UUID DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE UNIQUE INDEX home_pairing_code ON home_pairing (code_hash)');
        $this->addSql('CREATE UNIQUE INDEX home_pairing_key ON home_pairing (key_hash)');
        $this->addSql(
            'CREATE TABLE home_plan (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            hash VARCHAR(64) NOT NULL, made_on DATE NOT NULL, made_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            record JSONB NOT NULL, planned JSONB NOT NULL, body BYTEA NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE UNIQUE INDEX home_plan_version ON home_plan (client_id, hash)');
        $this->addSql('CREATE INDEX home_plan_newest ON home_plan (client_id, made_at)');
        $this->addSql('CREATE TABLE home_slot (sitting_id UUID NOT NULL, clinic_id UUID NOT NULL,
            client_id UUID NOT NULL, device_id UUID NOT NULL, handed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            used_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(sitting_id))');
        $this->addSql('CREATE INDEX home_slot_of ON home_slot (device_id, used_at)');
        $this->addSql(
            'CREATE TABLE home_change (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            kind VARCHAR(10) NOT NULL, item VARCHAR(160) NOT NULL, before VARCHAR(200) NOT NULL,
            now VARCHAR(200) NOT NULL, why JSONB DEFAULT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            seen_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX home_change_of ON home_change (client_id, at)');
        $this->addSql(
            'CREATE TABLE consent (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            kind VARCHAR(24) NOT NULL, given_by VARCHAR(80) NOT NULL, way VARCHAR(16) NOT NULL, given_on DATE NOT NULL,
            kept_by_id UUID NOT NULL, kept_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, words VARCHAR(200) NOT NULL,
            ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, ended_words VARCHAR(200) NOT NULL,
            ended_by_id UUID DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX consent_of ON consent (client_id)');
        $this->addSql(
            'CREATE TABLE home_message (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            device_id UUID NOT NULL, person VARCHAR(10) NOT NULL, about VARCHAR(10) NOT NULL,
            text VARCHAR(500) NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            answer VARCHAR(500) NOT NULL, answered_by_id UUID DEFAULT NULL,
            answered_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            read_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX home_message_of ON home_message (client_id, received_at)');
        $this->addSql(
            'CREATE TABLE diary (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            version INT DEFAULT 1 NOT NULL, first_at VARCHAR(5) NOT NULL, second_at VARCHAR(5) NOT NULL,
            optional JSONB NOT NULL, asked JSONB NOT NULL, began_on DATE NOT NULL, paused_on DATE DEFAULT NULL,
            by_id UUID NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE UNIQUE INDEX diary_of ON diary (client_id)');
        $this->addSql(
            'CREATE TABLE diary_entry (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            device_id UUID NOT NULL, person VARCHAR(10) NOT NULL, moment VARCHAR(6) NOT NULL, day DATE NOT NULL,
            trouble VARCHAR(10) NOT NULL, hand VARCHAR(10) NOT NULL, severity SMALLINT NOT NULL,
            doing VARCHAR(20) NOT NULL, answers JSONB NOT NULL, is_late BOOLEAN NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX diary_entry_of ON diary_entry (client_id, day)');
        $this->addSql(
            'CREATE TABLE diary_trial (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            factor VARCHAR(24) NOT NULL, began_on DATE NOT NULL, by_id UUID NOT NULL,
            ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, kept VARCHAR(8) NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX diary_trial_of ON diary_trial (client_id)');
    }

    public function down(Schema $schema): void
    {
        foreach ([
            'home_device',
            'home_pairing',
            'home_plan',
            'home_slot',
            'home_change',
            'consent',
            'home_message',
            'diary',
            'diary_entry',
            'diary_trial',
        ] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
