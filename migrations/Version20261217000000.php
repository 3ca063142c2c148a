<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261217000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What is said at home at the end of a block';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE home_block_word (block_id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            ease SMALLINT NOT NULL, content SMALLINT NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            PRIMARY KEY(block_id))',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE home_block_word');
    }
}
