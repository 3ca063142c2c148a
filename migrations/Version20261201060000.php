<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201060000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What is remembered of each item, beyond the weeks of log that a page reads';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
                CREATE TABLE item_memory (
                    client_id UUID NOT NULL,
                    item_key VARCHAR(100) NOT NULL,
                    clinic_id UUID NOT NULL,
                    first_day DATE NOT NULL,
                    last_day DATE NOT NULL,
                    PRIMARY KEY (client_id, item_key)
                )
                SQL,
        );
        $this->addSql('CREATE INDEX sitting_item_by_item ON sitting_item (client_id, rung_id, hands, day)');
        $this->addSql(
            <<<'SQL'
                INSERT INTO item_memory (client_id, item_key, clinic_id, first_day, last_day)
                SELECT client_id, rung_id || '|' || hands, clinic_id, MIN(day), MAX(day) FROM sitting_item
                WHERE told->>'outcome' <> 'skipped'
                GROUP BY client_id, rung_id, hands, clinic_id
                SQL,
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE item_memory');
        $this->addSql('DROP INDEX sitting_item_by_item');
    }
}
