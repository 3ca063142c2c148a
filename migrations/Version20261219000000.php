<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261219000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What is worn beside the sittings';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE wear_plan (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            worn VARCHAR(8) NOT NULL, rung_id VARCHAR(60) NOT NULL, side VARCHAR(5) NOT NULL,
            step SMALLINT NOT NULL, worn_when VARCHAR(80) NOT NULL,
            morning_id UUID DEFAULT NULL, began_on DATE NOT NULL, fit_on DATE NOT NULL, by_staff_id UUID DEFAULT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            ended_by_id UUID DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX wear_plan_by_client ON wear_plan (client_id)');
        $this->addSql(
            'CREATE TABLE wear (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            plan_id UUID NOT NULL, worn VARCHAR(8) NOT NULL, side VARCHAR(5) NOT NULL, day DATE NOT NULL,
            on_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, before JSON NOT NULL,
            off_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, after JSON DEFAULT NULL, again JSON NOT NULL,
            early VARCHAR(120) NOT NULL, person VARCHAR(10) NOT NULL, person_id UUID NOT NULL,
            received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX wear_by_client ON wear (client_id, day)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE wear');
        $this->addSql('DROP TABLE wear_plan');
    }
}
