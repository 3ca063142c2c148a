<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Forms that were sent, so that one sent twice is done once';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
                CREATE TABLE form_sent (
                    key VARCHAR(64) NOT NULL,
                    at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                    led_to TEXT DEFAULT NULL,
                    PRIMARY KEY (key)
                )
                SQL,
        );
        $this->addSql('CREATE INDEX form_sent_at ON form_sent (at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE form_sent');
    }
}
