-- The day and the years. What is left of a job, as the Bay lays it into the day: columns of its line.
ALTER TABLE bay_line ADD COLUMN work_left TEXT NOT NULL DEFAULT '[]';
ALTER TABLE bay_line ADD COLUMN needs_bay INTEGER NOT NULL DEFAULT 1;
ALTER TABLE bay_line ADD COLUMN inside INTEGER NOT NULL DEFAULT 0;
ALTER TABLE job_summary ADD COLUMN promised TEXT;
ALTER TABLE job_summary ADD COLUMN promised_told TEXT;

-- Who worked on a job at which stage, and when: grown with each entry, as the stretches of a job are.
CREATE TABLE work_stretch (
  job_id TEXT NOT NULL, person TEXT NOT NULL, stage TEXT NOT NULL, started_at TEXT NOT NULL, ended_at TEXT NOT NULL,
  -- Summed up by reports over hundreds of thousands of rows.
  minutes REAL NOT NULL GENERATED ALWAYS AS ((julianday(ended_at) - julianday(started_at)) * 1440) STORED,
  PRIMARY KEY (job_id, person, started_at)
) STRICT, WITHOUT ROWID;
CREATE INDEX work_by_end ON work_stretch (ended_at, minutes);
CREATE INDEX work_by_stage ON work_stretch (job_id, stage, person, minutes);

-- What each stage of a finished job was expected to take, minutes by hand.
CREATE TABLE stage_expected (
  job_id TEXT NOT NULL, stage TEXT NOT NULL, minutes REAL NOT NULL, closed_at TEXT NOT NULL, PRIMARY KEY (job_id, stage)
) STRICT, WITHOUT ROWID;
CREATE INDEX expected_by_close ON stage_expected (closed_at, job_id, stage, minutes);

-- What each job tells of its vehicle over the years: when it is due again, and how long repairs hold.
CREATE TABLE visit (
  job_id TEXT PRIMARY KEY, number INTEGER NOT NULL, vehicle_id TEXT NOT NULL, family_id TEXT NOT NULL, kind TEXT NOT NULL, option TEXT, unit_kind TEXT NOT NULL,
  opened_at TEXT NOT NULL, closed_at TEXT, meter REAL NOT NULL, hours INTEGER NOT NULL, anew INTEGER NOT NULL,
  level_before REAL, sd_before REAL, level_after REAL, sd_after REAL, cleaned INTEGER NOT NULL, reopened INTEGER NOT NULL,
  labour_minutes REAL, parts_minor INTEGER, total_minor INTEGER
) STRICT;
CREATE INDEX visit_by_vehicle ON visit (vehicle_id, opened_at);
CREATE INDEX visit_by_close ON visit (closed_at, option, reopened, labour_minutes, parts_minor, total_minor);
-- What reports sum up is found by when it was.
CREATE INDEX coolant_by_time ON coolant_entry (at);
CREATE INDEX waste_by_time ON waste (at);
CREATE INDEX part_use_by_time ON part_use (at);
CREATE INDEX job_by_opening ON job_summary (opened_at);
-- What was said of vehicles that are due: put off until a day, or not wanted; it holds until the next visit.
CREATE TABLE due_answer (
  vehicle_id TEXT PRIMARY KEY REFERENCES vehicle (id), answer TEXT NOT NULL CHECK (answer IN ('put-off', 'not-wanted', 'told')), until TEXT,
  note TEXT NOT NULL, at TEXT NOT NULL, by TEXT NOT NULL
) STRICT, WITHOUT ROWID;
-- What customers said of repairs that were not seen again.
CREATE TABLE follow_up (
  job_id TEXT NOT NULL, at TEXT NOT NULL, answer TEXT NOT NULL CHECK (answer IN ('good', 'came-back', 'sold', 'scrapped', 'unknown')),
  meter REAL, note TEXT NOT NULL, by TEXT NOT NULL, PRIMARY KEY (job_id, at)
) STRICT, WITHOUT ROWID;

-- What somebody does and when they are here; null while nobody has said so: as their role and the shop have it.
ALTER TABLE person ADD COLUMN does TEXT;
ALTER TABLE person ADD COLUMN hours TEXT;
-- Days and half days without somebody; of everybody where no person is named.
CREATE TABLE absence (
  id TEXT PRIMARY KEY, person_id TEXT REFERENCES person (id), from_day TEXT NOT NULL, to_day TEXT NOT NULL,
  part TEXT NOT NULL CHECK (part IN ('day', 'morning', 'afternoon')), why TEXT NOT NULL
) STRICT;
CREATE INDEX absence_by_day ON absence (to_day);

-- Days on which somebody stays longer than usual, until a minute of the day.
CREATE TABLE longer_day (
  person_id TEXT NOT NULL REFERENCES person (id), day TEXT NOT NULL, until INTEGER NOT NULL, PRIMARY KEY (person_id, day)
) STRICT, WITHOUT ROWID;

-- What people have said of the plan: who does a stretch, and when it begins.
CREATE TABLE day_wish (
  job_id TEXT NOT NULL, stretch TEXT NOT NULL, at TEXT, person_id TEXT, by TEXT NOT NULL, made_at TEXT NOT NULL,
  PRIMARY KEY (job_id, stretch)
) STRICT, WITHOUT ROWID;
-- The plan that people have in their heads: one row, a version on with each plan that takes its place.
CREATE TABLE day_plan (
  id INTEGER PRIMARY KEY CHECK (id = 1), version INTEGER NOT NULL, made_at TEXT NOT NULL, by TEXT NOT NULL, blocks TEXT NOT NULL
) STRICT;
-- Calendars that other programs read: of the whole shop, or of one person. Only a hash of the token is kept.
CREATE TABLE feed (
  id TEXT PRIMARY KEY, secret_hash TEXT NOT NULL UNIQUE, person_id TEXT REFERENCES person (id), made_by TEXT NOT NULL, made_at TEXT NOT NULL,
  read_at TEXT, withdrawn_at TEXT, withdrawn_by TEXT
) STRICT, WITHOUT ROWID;
INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');
