<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261207000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A therapist can carry the mark "trained in hands-on release"';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE staff ADD release_trained_on DATE DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE staff DROP release_trained_on');
    }
}
