<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Approaches chosen for a client; helper hours and busy times of a week';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            "UPDATE routine SET with_more = json_build_array(json_build_object('with', '5 more minutes', 'adds', "
                .'with_more)) WHERE json_array_length(with_more) > 0',
        );
        $this->addSql(
            'CREATE TABLE approach_choice (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, '
                .'question VARCHAR(20) NOT NULL, school VARCHAR(1) NOT NULL, note VARCHAR(300) NOT NULL, by_staff_id '
                .'UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_at TIMESTAMP(0) WITH TIME ZONE '
                .'DEFAULT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX approach_by_client ON approach_choice (client_id)');
        $this->addSql(
            'CREATE TABLE week_times (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, '
                .'helper_hours VARCHAR(300) NOT NULL, calendar TEXT NOT NULL, calendar_name VARCHAR(120) NOT NULL, '
                .'version INT DEFAULT 1 NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX week_times_of ON week_times (client_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE approach_choice');
        $this->addSql('DROP TABLE week_times');
    }
}
