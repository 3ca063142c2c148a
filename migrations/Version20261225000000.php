<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261225000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Reports of three kinds, with charts and pictures, that nothing changes once they are signed';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            "ALTER TABLE report ADD kind VARCHAR(10) NOT NULL DEFAULT 'review', ADD as_of DATE DEFAULT NULL,
            ADD charts JSONB NOT NULL DEFAULT '[]', ADD sheets BYTEA DEFAULT NULL,
            ADD content VARCHAR(64) NOT NULL DEFAULT '', ADD seal VARCHAR(64) NOT NULL DEFAULT '',
            ADD is_at_home BOOLEAN NOT NULL DEFAULT false",
        );
        $this->addSql('UPDATE report SET as_of = drafted_at::date');
        $this->addSql(
            'ALTER TABLE report ALTER as_of SET NOT NULL, ALTER kind DROP DEFAULT, ALTER charts DROP DEFAULT,
            ALTER content DROP DEFAULT, ALTER seal DROP DEFAULT,
            ALTER is_at_home DROP DEFAULT',
        );
        $this->addSql(
            <<<'SQL'
                CREATE FUNCTION signed_report_is_kept() RETURNS trigger LANGUAGE plpgsql AS $$
                BEGIN
                    IF OLD.signed_at IS NULL THEN
                        RETURN CASE TG_OP WHEN 'DELETE' THEN OLD ELSE NEW END;
                    END IF;
                    IF TG_OP = 'DELETE' OR to_jsonb(NEW) - '{given,is_at_home}'::text[]
                        IS DISTINCT FROM to_jsonb(OLD) - '{given,is_at_home}'::text[] THEN
                        RAISE EXCEPTION 'A signed report does not change.';
                    END IF;
                    RETURN NEW;
                END
                $$
                SQL,
        );
        $this->addSql(
            'CREATE TRIGGER signed_report_is_kept BEFORE UPDATE OR DELETE ON report'
                .' FOR EACH ROW EXECUTE FUNCTION signed_report_is_kept()',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TRIGGER signed_report_is_kept ON report');
        $this->addSql('DROP FUNCTION signed_report_is_kept()');
        $this->addSql(
            'ALTER TABLE report DROP kind, DROP as_of, DROP charts, DROP sheets, DROP content, DROP seal,
            DROP is_at_home',
        );
    }
}
