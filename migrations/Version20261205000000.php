<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261205000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Several sittings a day, and blocks of practice';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE week_times ADD sittings_per_day SMALLINT DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE week_times ALTER sittings_per_day DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE week_times DROP sittings_per_day');
    }
}
