<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261205000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Several sittings a day, blocks of practice, a focus that is chosen';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE week_times ADD sittings_per_day SMALLINT DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE week_times ALTER sittings_per_day DROP DEFAULT');
        $this->addSql(<<<'SQL'
            CREATE TABLE plan_block (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                begins_on DATE NOT NULL, days SMALLINT NOT NULL, sample VARCHAR(10) NOT NULL,
                by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))
            SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE focus_choice (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
                ladder_key VARCHAR(40) NOT NULL, side VARCHAR(5) NOT NULL, note VARCHAR(300) NOT NULL,
                by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
                ended_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))
            SQL);
        $this->addSql('CREATE INDEX focus_by_client ON focus_choice (client_id)');
        $this->addSql('CREATE INDEX block_by_client ON plan_block (client_id, at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE plan_block');
        $this->addSql('DROP TABLE focus_choice');
        $this->addSql('ALTER TABLE week_times DROP sittings_per_day');
    }
}
