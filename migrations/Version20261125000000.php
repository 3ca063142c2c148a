<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Own exercises of a clinic, hand shapes it leaves out, materials by their keys';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE clinic ADD shapes_off JSONB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE clinic ALTER shapes_off DROP DEFAULT');
        $this->addSql(
            'CREATE TABLE own_exercise (id UUID NOT NULL, is_newest BOOLEAN NOT NULL, archived BOOLEAN NOT NULL, '
                .'clinic_id UUID NOT NULL, key VARCHAR(60) NOT NULL, version INT NOT NULL, name VARCHAR(120) NOT '
                .'NULL, written JSONB NOT NULL, pose JSONB NOT NULL, facets JSONB NOT NULL, text TEXT NOT NULL, '
                .'seconds INT NOT NULL, by_staff_id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY '
                .'KEY (id))',
        );
        $this->addSql(
            'CREATE UNIQUE INDEX own_exercise_version ON own_exercise (clinic_id, key, version)',
        );
        $this->addSql(
            'CREATE INDEX own_exercise_newest ON own_exercise (clinic_id, is_newest, archived)',
        );
        $this->addSql('ALTER TABLE audit_line ALTER client_id DROP NOT NULL');
        // Materials were kept by their label.
        $this->addSql(<<<'SQL'
            UPDATE client SET materials = (
                SELECT json_agg(CASE name
                    WHEN 'pillow' THEN 'towel'
                    WHEN 'full can' THEN 'light-weight'
                    ELSE replace(name, ' ', '-')
                END) FROM (SELECT DISTINCT json_array_elements_text(materials) AS name) AS named
            )
            WHERE materials IS NOT NULL AND json_typeof(materials) = 'array' AND json_array_length(materials) > 0
            SQL);
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE own_exercise');
        $this->addSql('ALTER TABLE clinic DROP shapes_off');
    }
}
