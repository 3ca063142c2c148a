<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261212000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Sittings that were written on paper say so, and by whom; days are found for the logbook';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE sitting
            ADD from_paper BOOLEAN DEFAULT false NOT NULL, ADD written_by VARCHAR(80) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE sitting ALTER from_paper DROP DEFAULT, ALTER written_by DROP DEFAULT');
        $this->addSql('CREATE INDEX sitting_by_day ON sitting (client_id, day)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX sitting_by_day');
        $this->addSql('ALTER TABLE sitting DROP from_paper, DROP written_by');
    }
}
