<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261220000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What the affected hand does in the day';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE use_it (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            words VARCHAR(80) NOT NULL, ticked JSON NOT NULL, by_staff_id UUID NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX use_it_by_client ON use_it (client_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE use_it');
    }
}
