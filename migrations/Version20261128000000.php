<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Several goals and short-term goals of a client; kinds, value and edits of a routine; weights of a '
            .'clinic';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE client ADD goals JSON DEFAULT '{}' NOT NULL");
        $this->addSql(
            "UPDATE client SET goals = json_build_object(goal_key, 3) WHERE goal_key <> ''",
        );
        $this->addSql('ALTER TABLE client ALTER goals DROP DEFAULT');
        $this->addSql('ALTER TABLE client DROP goal_key');
        $this->addSql(
            "ALTER TABLE routine ADD kind VARCHAR(10) DEFAULT 'home' NOT NULL, ADD value INT DEFAULT 0 NOT NULL, ADD "
                ."bound INT DEFAULT 0 NOT NULL, ADD forbidden JSON DEFAULT '[]' NOT NULL",
        );
        $this->addSql('UPDATE routine SET bound = 1 WHERE NOT proved_best');
        $this->addSql(
            'ALTER TABLE routine DROP proved_best, ALTER kind DROP DEFAULT, ALTER value DROP DEFAULT, ALTER bound '
                .'DROP DEFAULT, ALTER forbidden DROP DEFAULT',
        );
        $this->addSql('DROP INDEX routine_by_client');
        $this->addSql('CREATE INDEX routine_by_client ON routine (client_id, kind, made_at)');
        $this->addSql(
            "ALTER TABLE clinic ADD routine_weights JSONB DEFAULT '{}' NOT NULL, ADD sitting_minutes INT DEFAULT 45 "
                .'NOT NULL',
        );
        $this->addSql(
            'ALTER TABLE clinic ALTER routine_weights DROP DEFAULT, ALTER sitting_minutes DROP DEFAULT',
        );
        $this->addSql(
            'CREATE TABLE short_term_goal (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL, '
                .'rung_id VARCHAR(80) NOT NULL, side VARCHAR(5) NOT NULL, by_day DATE NOT NULL, note VARCHAR(300) '
                .'NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_at '
                .'TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX short_term_goal_by_client ON short_term_goal (client_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE short_term_goal');
        $this->addSql('ALTER TABLE clinic DROP routine_weights, DROP sitting_minutes');
        $this->addSql('ALTER TABLE routine ADD proved_best BOOLEAN DEFAULT TRUE NOT NULL');
        $this->addSql('UPDATE routine SET proved_best = (value = bound)');
        $this->addSql('ALTER TABLE routine DROP kind, DROP value, DROP bound, DROP forbidden');
        $this->addSql("ALTER TABLE client ADD goal_key VARCHAR(40) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE client DROP goals');
    }
}
