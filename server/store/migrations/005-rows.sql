-- Plain rows: each carries a version, so that a save over a newer one is noticed; the audit is read by its subject.
ALTER TABLE vehicle ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE engine_family ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE unit ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE stock ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
CREATE INDEX audit_by_subject ON audit (subject, id);
