<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261216000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Helpers as persons: what each was taught, sign-offs of each, devices and words of their own';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE helper (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            name VARCHAR(120) NOT NULL, kind VARCHAR(12) NOT NULL, comes BOOLEAN NOT NULL,
            briefed_on DATE DEFAULT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            left_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX helper_by_client ON helper (client_id)');
        // until now a name stood with the client, and another one with each sign-off
        $this->addSql(
            "INSERT INTO helper (id, clinic_id, client_id, name, kind, comes, briefed_on, at)
            SELECT gen_random_uuid(), clinic_id, id, helper, 'family', helper_present, helper_briefed_on, created_at
            FROM client WHERE helper <> ''",
        );
        $this->addSql(
            "INSERT INTO helper (id, clinic_id, client_id, name, kind, comes, briefed_on, at)
            SELECT gen_random_uuid(), s.clinic_id, s.client_id, s.helper, 'family', c.helper_present,
            c.helper_briefed_on, min(s.at) FROM sign_off s JOIN client c ON c.id = s.client_id
            WHERE NOT EXISTS (SELECT 1 FROM helper h WHERE h.client_id = s.client_id AND h.name = s.helper)
            GROUP BY s.clinic_id, s.client_id, s.helper, c.helper_present, c.helper_briefed_on",
        );
        $this->addSql(
            'ALTER TABLE sign_off ADD helper_id UUID DEFAULT NULL, ADD why VARCHAR(20) DEFAULT NULL',
        );
        $this->addSql(
            'UPDATE sign_off s SET helper_id = h.id FROM helper h
            WHERE h.client_id = s.client_id AND h.name = s.helper',
        );
        $this->addSql('ALTER TABLE sign_off ALTER helper_id SET NOT NULL, DROP helper');
        $this->addSql('ALTER TABLE client DROP helper, DROP helper_present, DROP helper_briefed_on');
        $this->addSql(
            'CREATE TABLE teaching (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            helper_id UUID NOT NULL, technique VARCHAR(40) NOT NULL, side VARCHAR(5) NOT NULL, points JSONB NOT NULL,
            shown JSONB NOT NULL, practise VARCHAR(300) NOT NULL, by_staff_id UUID NOT NULL,
            at TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX teaching_by_client ON teaching (client_id)');
        $this->addSql(
            'CREATE TABLE helper_word (id UUID NOT NULL, clinic_id UUID NOT NULL, client_id UUID NOT NULL,
            helper_id UUID NOT NULL, managing VARCHAR(10) NOT NULL, hurts BOOLEAN NOT NULL,
            hurts_where VARCHAR(120) NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
            talked_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
            talked_by_id UUID DEFAULT NULL, PRIMARY KEY(id))',
        );
        $this->addSql('CREATE INDEX helper_word_by_client ON helper_word (client_id)');
        foreach (['home_device', 'home_pairing'] as $table) {
            $this->addSql('ALTER TABLE '.$table.' ADD helper_id UUID DEFAULT NULL');
            $this->addSql(
                'UPDATE '.$table." d SET helper_id = (SELECT h.id FROM helper h WHERE h.client_id = d.client_id
                ORDER BY h.at LIMIT 1) WHERE d.person = 'helper'",
            );
            $this->addSql('ALTER TABLE '.$table.' DROP person');
        }
    }

    public function down(Schema $schema): void
    {
        foreach (['home_device', 'home_pairing'] as $table) {
            $this->addSql('ALTER TABLE '.$table." ADD person VARCHAR(10) DEFAULT 'client' NOT NULL");
            $this->addSql('UPDATE '.$table." SET person = 'helper' WHERE helper_id IS NOT NULL");
            $this->addSql('ALTER TABLE '.$table.' ALTER person DROP DEFAULT, DROP helper_id');
        }
        $this->addSql('DROP TABLE helper_word');
        $this->addSql('DROP TABLE teaching');
        $this->addSql(
            "ALTER TABLE client ADD helper VARCHAR(120) DEFAULT '' NOT NULL,
            ADD helper_present BOOLEAN DEFAULT false NOT NULL, ADD helper_briefed_on DATE DEFAULT NULL",
        );
        $this->addSql(
            'UPDATE client c SET helper = h.name, helper_present = h.comes, helper_briefed_on = h.briefed_on
            FROM helper h WHERE h.client_id = c.id AND h.left_at IS NULL',
        );
        $this->addSql("ALTER TABLE sign_off ADD helper VARCHAR(120) DEFAULT '' NOT NULL");
        $this->addSql('UPDATE sign_off s SET helper = h.name FROM helper h WHERE h.id = s.helper_id');
        $this->addSql('ALTER TABLE sign_off DROP helper_id, DROP why');
        $this->addSql('ALTER TABLE sign_off ALTER helper DROP DEFAULT');
        $this->addSql('ALTER TABLE client ALTER helper DROP DEFAULT, ALTER helper_present DROP DEFAULT');
        $this->addSql('DROP TABLE helper');
    }
}
