-- Recipes of relearns and bleeding that a shop writes itself. A version is never changed: runs were worked by it.
CREATE TABLE recipe (id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, body TEXT NOT NULL) STRICT;
CREATE TABLE recipe_version (
  id TEXT NOT NULL, version INTEGER NOT NULL, at TEXT NOT NULL, person TEXT NOT NULL, note TEXT NOT NULL, body TEXT NOT NULL,
  PRIMARY KEY (id, version)
) STRICT;
CREATE TRIGGER recipe_version_is_never_changed BEFORE UPDATE ON recipe_version BEGIN SELECT RAISE(ABORT, 'a version of a recipe is never changed'); END;
CREATE TRIGGER recipe_version_is_never_deleted BEFORE DELETE ON recipe_version BEGIN SELECT RAISE(ABORT, 'a version of a recipe is never deleted'); END;

-- What was tried on each seized screw, turn by turn: from it a shop's own chances are counted.
CREATE TABLE rung_try (
  job_id TEXT NOT NULL, screw_id TEXT NOT NULL, turn INTEGER NOT NULL, rung TEXT NOT NULL, outcome TEXT NOT NULL,
  PRIMARY KEY (job_id, screw_id, turn)
) STRICT, WITHOUT ROWID;
CREATE INDEX rung_try_by_rung ON rung_try (rung, outcome);
