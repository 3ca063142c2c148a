<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261218000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Tablets that the residents of a care home share';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE care_home (id UUID NOT NULL, clinic_id UUID NOT NULL, name VARCHAR(80) NOT NULL,
            residents JSON NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql(
            'CREATE TABLE care_worker (id UUID NOT NULL, clinic_id UUID NOT NULL, care_home_id UUID NOT NULL,
            name VARCHAR(120) NOT NULL, initials VARCHAR(4) NOT NULL, digits_hash VARCHAR(255) NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, left_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            PRIMARY KEY(id))',
        );
        $this->addSql(
            'CREATE TABLE shared_tablet (id UUID NOT NULL, clinic_id UUID NOT NULL, care_home_id UUID NOT NULL,
            label VARCHAR(60) NOT NULL, secret_hash VARCHAR(64) NOT NULL,
            secret_since TIMESTAMP(0) WITH TIME ZONE NOT NULL, previous_hash VARCHAR(64) DEFAULT NULL,
            made_by_id UUID NOT NULL, made_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            last_seen_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            taken_out_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, taken_out_why VARCHAR(20) DEFAULT NULL,
            open_device_id UUID DEFAULT NULL, worker_id UUID DEFAULT NULL,
            worker_until TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('ALTER TABLE home_device ADD tablet_id UUID DEFAULT NULL');
        $this->addSql('ALTER TABLE home_pairing ADD care_home_id UUID DEFAULT NULL');
        $this->addSql('ALTER TABLE home_pairing ALTER client_id DROP NOT NULL');
        $this->addSql('ALTER TABLE helper ADD care_worker_id UUID DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE helper DROP care_worker_id');
        $this->addSql('DELETE FROM home_pairing WHERE client_id IS NULL');
        $this->addSql('ALTER TABLE home_pairing ALTER client_id SET NOT NULL');
        $this->addSql('ALTER TABLE home_pairing DROP care_home_id');
        $this->addSql('ALTER TABLE home_device DROP tablet_id');
        $this->addSql('DROP TABLE shared_tablet');
        $this->addSql('DROP TABLE care_worker');
        $this->addSql('DROP TABLE care_home');
    }
}
