-- What each person took at each stage of a finished job, and their share of what was expected of it: summed up when a job
-- is over, so that a year of reports reads one index.
CREATE TABLE stage_took (
  job_id TEXT NOT NULL, stage TEXT NOT NULL, person TEXT NOT NULL, took REAL NOT NULL, expected REAL NOT NULL, closed_at TEXT NOT NULL,
  PRIMARY KEY (job_id, stage, person)
) STRICT, WITHOUT ROWID;
CREATE INDEX took_by_close ON stage_took (closed_at, stage, person, job_id, took, expected);
CREATE VIEW stage_took_meant AS
  SELECT job_id, stage, person, took, expected * took / SUM(took) OVER (PARTITION BY job_id, stage) AS expected, closed_at
  FROM (SELECT e.job_id, e.stage, w.person, SUM(w.minutes) AS took, e.minutes AS expected, e.closed_at
    FROM stage_expected e JOIN work_stretch w ON w.job_id = e.job_id AND w.stage = e.stage
    GROUP BY e.job_id, e.stage, w.person HAVING SUM(w.minutes) > 0);

-- What was looked at on a vehicle as it came, and whether it was bad: what recurs in a family is counted of these.
CREATE TABLE look (
  job_id TEXT NOT NULL, form TEXT NOT NULL, thing TEXT NOT NULL, vehicle_id TEXT NOT NULL, family_id TEXT NOT NULL, bad INTEGER NOT NULL,
  meter REAL NOT NULL, hours INTEGER NOT NULL, PRIMARY KEY (job_id, form, thing)
) STRICT, WITHOUT ROWID;
-- What became of a lesson: taken into a procedure, the stock or the knowledge, or set aside.
CREATE TABLE lesson_answer (
  lesson_id TEXT NOT NULL, what TEXT NOT NULL CHECK (what IN ('procedure', 'stock', 'knowledge', 'set-aside')), subject TEXT NOT NULL,
  note TEXT NOT NULL, at TEXT NOT NULL, by TEXT NOT NULL, PRIMARY KEY (lesson_id, what, subject)
) STRICT, WITHOUT ROWID;
INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');

-- Files between shops. Our own key; shops that we have files of; what they tell of vehicles and units, never mixed with our own.
CREATE TABLE shop_key (id INTEGER PRIMARY KEY CHECK (id = 1), public TEXT NOT NULL, private TEXT NOT NULL, made_at TEXT NOT NULL) STRICT;
CREATE TABLE shop_known (
  key TEXT PRIMARY KEY, name TEXT NOT NULL, first_seen_at TEXT NOT NULL, confirmed_at TEXT, confirmed_by TEXT
) STRICT, WITHOUT ROWID;
CREATE TABLE chapter_elsewhere (
  shop TEXT NOT NULL REFERENCES shop_known (key), chapter TEXT NOT NULL, hash TEXT NOT NULL, subject TEXT NOT NULL CHECK (subject IN ('vehicle', 'unit')),
  subject_id TEXT NOT NULL, opened_at TEXT NOT NULL, made_at TEXT NOT NULL, body TEXT NOT NULL, taken_at TEXT NOT NULL, taken_by TEXT NOT NULL,
  PRIMARY KEY (shop, chapter, hash, subject, subject_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX chapter_by_subject ON chapter_elsewhere (subject, subject_id, opened_at);
-- As they were signed: to be handed on with what we add.
CREATE TABLE life_file (
  hash TEXT NOT NULL, subject TEXT NOT NULL CHECK (subject IN ('vehicle', 'unit')), subject_id TEXT NOT NULL, body TEXT NOT NULL, taken_at TEXT NOT NULL,
  PRIMARY KEY (hash, subject, subject_id)
) STRICT, WITHOUT ROWID;

-- Price lists of suppliers, as they were taken in: the newest of each stands.
CREATE TABLE price_list (
  id TEXT PRIMARY KEY, supplier TEXT NOT NULL, supplier_key TEXT NOT NULL UNIQUE, currency TEXT NOT NULL, taken_at TEXT NOT NULL, taken_by TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE TABLE price_line (
  list_id TEXT NOT NULL REFERENCES price_list (id) ON DELETE CASCADE, part_key TEXT NOT NULL, kind TEXT NOT NULL CHECK (kind IN ('new', 'rebuilt', 'used')),
  part_number TEXT NOT NULL, name TEXT NOT NULL, price_minor INTEGER NOT NULL CHECK (price_minor >= 0), deposit_minor INTEGER NOT NULL CHECK (deposit_minor >= 0),
  days INTEGER, PRIMARY KEY (list_id, part_key, kind)
) STRICT, WITHOUT ROWID;
CREATE INDEX price_by_part ON price_line (part_key);
