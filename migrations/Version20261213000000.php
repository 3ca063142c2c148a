<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261213000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who looked at a client is kept, and how blocks were looked back on';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE client_look (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            word VARCHAR(10) NOT NULL, note VARCHAR(300) NOT NULL, visit_on DATE DEFAULT NULL,
            by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE INDEX look_by_client ON client_look (client_id, at)');
        $this->addSql('CREATE TABLE block_review (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, client_id UUID NOT NULL, block_id UUID NOT NULL,
            proposed VARCHAR(10) NOT NULL, decided VARCHAR(10) NOT NULL, ease INT DEFAULT NULL,
            content INT DEFAULT NULL, note VARCHAR(500) NOT NULL, by_staff_id UUID NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE INDEX block_review_by_client ON block_review (client_id, at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE block_review');
        $this->addSql('DROP TABLE client_look');
    }
}
