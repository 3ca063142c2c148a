<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261206000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A sitting keeps its score as played, and gives out secrets under which its events come';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE sitting_score (sitting_id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                hash VARCHAR(64) NOT NULL, version SMALLINT NOT NULL, body BYTEA NOT NULL, PRIMARY KEY(sitting_id))
            SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE sitting_secret (hash VARCHAR(64) NOT NULL, sitting_id UUID NOT NULL, clinic_id UUID NOT NULL,
                client_id UUID NOT NULL, actor_kind VARCHAR(10) NOT NULL, actor_id VARCHAR(36) NOT NULL,
                at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(hash))
            SQL);
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE sitting_secret');
        $this->addSql('DROP TABLE sitting_score');
    }
}
