<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261224000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Reports, drafted and signed';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE report (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            from_day DATE NOT NULL, until_day DATE NOT NULL, lines JSONB NOT NULL, version INT NOT NULL,
            after UUID DEFAULT NULL, drafted_by_id UUID NOT NULL, drafted_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            signed_by_id UUID DEFAULT NULL, signed_as VARCHAR(140) NOT NULL,
            signed_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, given JSON NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX report_by_client ON report (client_id, drafted_at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE report');
    }
}
