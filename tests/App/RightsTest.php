<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseError;
use PHPUnit\Framework\Attributes\TestWith;

/** What the application may do in its database, whatever is sent to it. */
final class RightsTest extends OdalysTestCase
{
    public function testIsNobodySpecial(): void
    {
        self::assertSame(
            [['rolsuper' => false, 'rolcreatedb' => false, 'rolcreaterole' => false, 'rolbypassrls' => false]],
            $this->connection()->fetchAllAssociative(
                'SELECT rolsuper, rolcreatedb, rolcreaterole, rolbypassrls FROM pg_roles WHERE rolname = current_user',
            ),
        );
        self::assertSame(0, $this->connection()->fetchOne(
            'SELECT count(*) FROM pg_class c JOIN pg_roles r ON r.oid = c.relowner
                WHERE r.rolname = current_user',
        ), 'owns nothing');
        self::assertSame(0, $this->connection()->fetchOne(
            'SELECT count(*) FROM pg_auth_members m JOIN pg_roles r ON r.oid = m.member WHERE r.rolname = current_user',
        ), 'stands in for nobody');
    }

    #[TestWith(['UPDATE audit_line SET action = action'])]
    #[TestWith(['DELETE FROM audit_line'])]
    #[TestWith(['TRUNCATE audit_line'])]
    #[TestWith(['ALTER TABLE audit_line DISABLE TRIGGER ALL'])]
    #[TestWith(['DROP TABLE audit_line'])]
    #[TestWith(["UPDATE sitting_event SET kind = 'line'"])]
    #[TestWith(['DELETE FROM sitting_event'])]
    #[TestWith(['CREATE TABLE mine (id INT)'])]
    #[TestWith(['CREATE FUNCTION mine() RETURNS INT LANGUAGE sql AS $$SELECT 1$$'])]
    #[TestWith(["COPY audit_line TO PROGRAM 'cat'"])]
    #[TestWith(["SELECT pg_read_file('/etc/passwd')"])]
    #[TestWith(['SET ROLE garden_owner'])]
    #[TestWith(['DELETE FROM doctrine_migration_versions'])]
    public function testIsRefused(string $sql): void
    {
        self::assertGreaterThan(0, $this->lines(), 'there is something to lose');
        self::assertTrue($this->isRefused($sql), $sql);
        self::assertGreaterThan(0, $this->lines());
    }

    #[TestWith(['UPDATE audit_line SET action = action'])]
    #[TestWith(['DELETE FROM audit_line'])]
    #[TestWith(['TRUNCATE audit_line'])]
    public function testNotEvenTheOwnerChangesTheAuditByAccident(string $sql): void
    {
        $own = OwnDatabase::made('rights');
        $own->console('doctrine:migrations:migrate')->mustRun();
        $own->connection->exec(
            "INSERT INTO audit_line (id, clinic_id, actor_kind, actor_id, action, subject_id, at)
                VALUES (gen_random_uuid(), gen_random_uuid(), 'system', '', 'looked', '', now())",
        );
        try {
            $own->connection->exec($sql);
            self::fail('it was done');
        } catch (\PDOException $e) {
            self::assertStringContainsString('The audit is only added to', $e->getMessage());
        }
    }

    private function connection(): Connection
    {
        return $this->entities->getConnection();
    }

    private function lines(): int
    {
        $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $found = $this->connection()->fetchOne('SELECT count(*) FROM audit_line');

        return \is_int($found) ? $found : 0;
    }

    private function isRefused(string $sql): bool
    {
        $this->connection()->beginTransaction();
        try {
            $this->connection()->executeStatement($sql);

            return false;
        } catch (DatabaseError) {
            return true;
        } finally {
            $this->connection()->rollBack();
        }
    }
}
