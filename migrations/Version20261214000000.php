<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261214000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A therapist may let steps up inside the range of an exercise happen by themselves';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE client ADD steps_allowed_by_id UUID DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE client DROP steps_allowed_by_id');
    }
}
