<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261222000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Classes, and each time that one is led';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE hand_class (id UUID NOT NULL, clinic_id UUID NOT NULL, name VARCHAR(60) NOT NULL,
            owner_id UUID NOT NULL, staff INT NOT NULL, rungs JSON NOT NULL, places JSON NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            PRIMARY KEY(id))',
        );
        $this->addSql(
            'CREATE TABLE class_run (id UUID NOT NULL, clinic_id UUID NOT NULL, class_id UUID NOT NULL,
            actor_kind VARCHAR(10) NOT NULL, actor_id VARCHAR(36) NOT NULL, shows INT NOT NULL, names JSONB NOT NULL,
            started_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            went_on_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX class_run_of ON class_run (class_id, started_at)');
        $this->addSql(
            'CREATE TABLE class_run_wall (run_id UUID NOT NULL, body JSONB NOT NULL, PRIMARY KEY(run_id))',
        );
        $this->addSql(
            'CREATE TABLE class_run_place (id UUID NOT NULL, run_id UUID NOT NULL, clinic_id UUID NOT NULL,
            client_id UUID NOT NULL, sitting_id UUID NOT NULL, number INT NOT NULL, card JSONB NOT NULL,
            came_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE UNIQUE INDEX class_run_place_once ON class_run_place (run_id, number)');
        $this->addSql('CREATE UNIQUE INDEX class_run_place_of ON class_run_place (sitting_id)');
        $this->addSql('ALTER TABLE sitting ADD in_class BOOLEAN DEFAULT FALSE NOT NULL');
        $this->addSql('ALTER TABLE sitting ALTER in_class DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE class_run_place');
        $this->addSql('DROP TABLE class_run_wall');
        $this->addSql('DROP TABLE class_run');
        $this->addSql('DROP TABLE hand_class');
        $this->addSql('ALTER TABLE sitting DROP in_class');
    }
}
