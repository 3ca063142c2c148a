<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202060000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The audit is only added to, by whoever it may be';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
                CREATE FUNCTION audit_is_kept() RETURNS trigger LANGUAGE plpgsql AS $$
                BEGIN
                    RAISE EXCEPTION 'The audit is only added to.';
                END
                $$
                SQL,
        );
        $this->addSql(
            'CREATE TRIGGER audit_is_kept BEFORE UPDATE OR DELETE OR TRUNCATE ON audit_line'
                .' FOR EACH STATEMENT EXECUTE FUNCTION audit_is_kept()',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TRIGGER audit_is_kept ON audit_line');
        $this->addSql('DROP FUNCTION audit_is_kept()');
    }
}
