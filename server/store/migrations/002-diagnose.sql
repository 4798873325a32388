-- Plain rows: knowledge by version, engine families, units with a life of their own, house rules, written cases.
CREATE TABLE knowledge (
  version INTEGER PRIMARY KEY, at TEXT NOT NULL, person TEXT NOT NULL, note TEXT NOT NULL, edits INTEGER NOT NULL, body TEXT NOT NULL
) STRICT;
CREATE TRIGGER knowledge_is_never_changed BEFORE UPDATE ON knowledge BEGIN SELECT RAISE(ABORT, 'a version of the knowledge is never changed'); END;
CREATE TRIGGER knowledge_is_never_deleted BEFORE DELETE ON knowledge BEGIN SELECT RAISE(ABORT, 'a version of the knowledge is never deleted'); END;
CREATE TABLE engine_family (id TEXT PRIMARY KEY, name TEXT NOT NULL, body TEXT NOT NULL) STRICT;
CREATE TABLE house_rule (question TEXT PRIMARY KEY, answer TEXT NOT NULL) STRICT;
CREATE TABLE written_case (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT;
CREATE TABLE unit (
  id TEXT PRIMARY KEY, kind TEXT NOT NULL, part_number TEXT NOT NULL, features TEXT NOT NULL, vehicle_id TEXT, place TEXT NOT NULL, state TEXT NOT NULL
) STRICT;
CREATE INDEX unit_by_vehicle ON unit (vehicle_id, id);
CREATE TABLE unit_life (
  id INTEGER PRIMARY KEY, unit_id TEXT NOT NULL REFERENCES unit (id), at TEXT NOT NULL, person TEXT NOT NULL, kind TEXT NOT NULL,
  vehicle_id TEXT, place TEXT NOT NULL, price_minor INTEGER, note TEXT NOT NULL
) STRICT;
CREATE INDEX life_by_unit ON unit_life (unit_id, id);
-- Units leave the vehicle's row: they outlive it and move.
INSERT INTO unit (id, kind, part_number, features, vehicle_id, place, state)
  SELECT json_extract(u.value, '$.id'), json_extract(u.value, '$.kind'), json_extract(u.value, '$.partNumber'),
    json_object('portMm', NULL, 'gasket', '', 'pins', NULL, 'drive', '', 'mark', json_extract(u.value, '$.variant')), v.id, json_extract(u.value, '$.place'), 'fitted'
  FROM vehicle v, json_each(v.units) u WHERE true
  ON CONFLICT (id) DO NOTHING;
ALTER TABLE vehicle DROP COLUMN units;
ALTER TABLE vehicle ADD COLUMN family_id TEXT;

-- Projections.
CREATE TABLE sign_noted (
  job_id TEXT NOT NULL, id TEXT NOT NULL, sign TEXT NOT NULL, outcome TEXT NOT NULL, source TEXT NOT NULL, words TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE told (job_id TEXT NOT NULL, id TEXT NOT NULL, body TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)) STRICT, WITHOUT ROWID;
CREATE TABLE check_result (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT, name TEXT NOT NULL, outcome TEXT, verdict TEXT NOT NULL, phase TEXT NOT NULL, result TEXT NOT NULL,
  typed TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX check_by_kind ON check_result (kind, outcome);
CREATE TABLE check_passed_over (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, why TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE live_value (
  job_id TEXT NOT NULL, id TEXT NOT NULL, pid INTEGER NOT NULL, code TEXT, phase TEXT NOT NULL, name TEXT NOT NULL, value REAL NOT NULL, unit TEXT NOT NULL,
  at TEXT NOT NULL, PRIMARY KEY (job_id, id, pid)
) STRICT, WITHOUT ROWID;
CREATE TABLE clearing (
  job_id TEXT NOT NULL, id TEXT NOT NULL, codes TEXT NOT NULL, origin TEXT NOT NULL, outcome TEXT, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE variant_compared (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, place TEXT NOT NULL, verdict TEXT NOT NULL, words TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE option_terms (
  job_id TEXT NOT NULL, choice TEXT NOT NULL, parts_minor INTEGER, minutes REAL NOT NULL, days_off REAL NOT NULL, life REAL NOT NULL,
  PRIMARY KEY (job_id, choice)
) STRICT, WITHOUT ROWID;
CREATE TABLE job_decision (
  job_id TEXT PRIMARY KEY, vehicle_id TEXT NOT NULL, throttle TEXT NOT NULL, choice TEXT NOT NULL, reason TEXT NOT NULL, knowledge INTEGER NOT NULL,
  opened_at TEXT NOT NULL, closed_at TEXT, reopened INTEGER NOT NULL
) STRICT;
CREATE INDEX decision_by_vehicle ON job_decision (vehicle_id, opened_at);
CREATE TABLE belief_share (job_id TEXT NOT NULL, cause TEXT NOT NULL, share REAL NOT NULL, PRIMARY KEY (job_id, cause)) STRICT, WITHOUT ROWID;
CREATE TABLE rule_departure (
  job_id TEXT NOT NULL, question TEXT NOT NULL, rule TEXT NOT NULL, taken TEXT NOT NULL, reason TEXT NOT NULL, PRIMARY KEY (job_id, question)
) STRICT, WITHOUT ROWID;
CREATE TABLE estimate (
  job_id TEXT NOT NULL, id TEXT NOT NULL, choice TEXT NOT NULL, low_minor INTEGER NOT NULL, high_minor INTEGER NOT NULL, answer TEXT, who TEXT, at TEXT NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
-- Jobs of before have none of these rows yet: the store makes them from the logs when it is next opened.
INSERT INTO setting (key, value) VALUES ('projections', 'to be made anew');
