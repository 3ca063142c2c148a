<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261209000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Pictures are looked at, and the word on them is kept with their version';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE picture_review (
            id UUID NOT NULL PRIMARY KEY, clinic_id UUID NOT NULL, rung_id VARCHAR(80) NOT NULL,
            version VARCHAR(32) NOT NULL, verdict VARCHAR(10) NOT NULL, note VARCHAR(300) NOT NULL,
            by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL)');
        $this->addSql('CREATE INDEX picture_review_of ON picture_review (clinic_id, rung_id, at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE picture_review');
    }
}
