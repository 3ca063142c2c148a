-- What the application may do; run by the owner of the tables after every change of them.
GRANT USAGE ON SCHEMA public TO garden;
GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO garden;
GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO garden;
-- what happened is only added to
REVOKE UPDATE, DELETE ON audit_line, sitting_event FROM garden;
REVOKE INSERT, UPDATE, DELETE ON doctrine_migration_versions FROM garden;
