-- Plain rows: every version of every procedure, and the shop's tools.
CREATE TABLE procedure_version (
  id TEXT NOT NULL, version INTEGER NOT NULL, at TEXT NOT NULL, person TEXT NOT NULL, note TEXT NOT NULL, body TEXT NOT NULL, PRIMARY KEY (id, version)
) STRICT;
INSERT INTO procedure_version (id, version, at, person, note, body) SELECT id, version, '', 'shop', '', body FROM procedure;
CREATE TRIGGER procedure_version_is_never_changed BEFORE UPDATE ON procedure_version BEGIN SELECT RAISE(ABORT, 'a version of a procedure is never changed'); END;
CREATE TRIGGER procedure_version_is_never_deleted BEFORE DELETE ON procedure_version BEGIN SELECT RAISE(ABORT, 'a version of a procedure is never deleted'); END;
CREATE TABLE tool (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT;

-- Projections.
CREATE TABLE need_state (
  job_id TEXT NOT NULL, need_id TEXT NOT NULL, name TEXT NOT NULL, kind TEXT NOT NULL, part_number TEXT NOT NULL, state TEXT NOT NULL, expected TEXT, own INTEGER NOT NULL,
  ended_at TEXT, PRIMARY KEY (job_id, need_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX need_by_part ON need_state (part_number, state);
CREATE TABLE item_flag (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, name TEXT NOT NULL, flag TEXT NOT NULL, needs TEXT NOT NULL, body TEXT NOT NULL, settled TEXT, at TEXT NOT NULL,
  PRIMARY KEY (job_id, item_id)
) STRICT, WITHOUT ROWID;
CREATE TABLE kept_measure (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, kind TEXT NOT NULL, body TEXT NOT NULL, restored TEXT, PRIMARY KEY (job_id, item_id, kind)
) STRICT, WITHOUT ROWID;
CREATE TABLE thread_damage (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, bolt_id TEXT NOT NULL, route TEXT, at TEXT NOT NULL, PRIMARY KEY (job_id, item_id, bolt_id)
) STRICT, WITHOUT ROWID;
CREATE TABLE dropped (
  job_id TEXT NOT NULL, id TEXT NOT NULL, what TEXT NOT NULL, place TEXT NOT NULL, outcome TEXT, ended_by TEXT, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE hold_override (
  job_id TEXT NOT NULL, hold TEXT NOT NULL, words TEXT NOT NULL, person TEXT NOT NULL, reason TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, hold, at)
) STRICT, WITHOUT ROWID;
CREATE TABLE broken_order (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, at TEXT NOT NULL, over_items TEXT NOT NULL, reason TEXT NOT NULL, PRIMARY KEY (job_id, item_id, at)
) STRICT, WITHOUT ROWID;
CREATE TABLE step_in_hand (job_id TEXT NOT NULL, person TEXT NOT NULL, item_id TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, person)) STRICT, WITHOUT ROWID;
CREATE TABLE bench_done (job_id TEXT NOT NULL, item_id TEXT NOT NULL, at TEXT NOT NULL, note TEXT NOT NULL, PRIMARY KEY (job_id, item_id)) STRICT, WITHOUT ROWID;
CREATE TABLE tray_pocket (job_id TEXT NOT NULL, pocket TEXT NOT NULL, name TEXT NOT NULL, PRIMARY KEY (job_id, pocket)) STRICT, WITHOUT ROWID;
CREATE TABLE item_time (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, procedure_id TEXT NOT NULL, name TEXT NOT NULL, off_s REAL NOT NULL, back_s REAL NOT NULL, closed INTEGER NOT NULL,
  PRIMARY KEY (job_id, item_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX time_by_item ON item_time (procedure_id, item_id);
-- Jobs of before have none of these rows yet: the store makes them from the logs when it is next opened.
INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');
