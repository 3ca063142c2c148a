<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Events of one second that no device has numbered stand in the order in which they came';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE sitting_event ADD arrival BIGINT GENERATED ALWAYS AS IDENTITY');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE sitting_event DROP arrival');
    }
}
