<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What was kept as words stays as it was said: a text where a phrase may stand is somebody's own words. */
final class Version20261201000000 extends AbstractMigration
{
    private const ACTING = ['sitting', 'decision', 'audit_line'];

    public function getDescription(): string
    {
        return 'Actors instead of staff in sittings, decisions and audit; codes for reasons that are kept';
    }

    public function up(Schema $schema): void
    {
        foreach (self::ACTING as $table) {
            $was = 'audit_line' === $table ? 'staff_id' : 'by_staff_id';
            $this->addSql(
                "ALTER TABLE $table ADD actor_kind VARCHAR(10) DEFAULT 'staff' NOT NULL, ADD actor_id VARCHAR(36)",
            );
            $this->addSql("UPDATE $table SET actor_id = $was::text");
            $this->addSql(
                "ALTER TABLE $table ALTER actor_id SET NOT NULL, ALTER actor_kind DROP DEFAULT, DROP $was",
            );
        }
        $this->addSql('ALTER TABLE suspension ALTER why TYPE JSONB USING to_jsonb(why)');
        $this->addSql('ALTER TABLE decision ALTER text TYPE JSONB USING to_jsonb(text)');
        $this->addSql('ALTER TABLE decision RENAME text TO why');
    }

    public function down(Schema $schema): void
    {
        $said = "COALESCE(why #>> '{}', '')";
        $this->addSql("ALTER TABLE decision ALTER why TYPE VARCHAR(600) USING left($said, 600)");
        $this->addSql('ALTER TABLE decision RENAME why TO text');
        $this->addSql("ALTER TABLE suspension ALTER why TYPE VARCHAR(300) USING left($said, 300)");
        foreach (self::ACTING as $table) {
            $was = 'audit_line' === $table ? 'staff_id' : 'by_staff_id';
            $this->addSql("ALTER TABLE $table ADD $was UUID");
            $this->addSql("UPDATE $table SET $was = NULLIF(actor_id, '')::uuid");
            $this->addSql("ALTER TABLE $table ALTER $was SET NOT NULL, DROP actor_kind, DROP actor_id");
        }
    }
}
