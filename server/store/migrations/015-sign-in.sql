-- Who is let in: what people sign in by, the stations at which they change hands, who was at them when, and links that
-- lead to one job alone. Of secrets only hashes are kept.
CREATE TABLE account (
  person_id TEXT PRIMARY KEY REFERENCES person (id),
  password_hash TEXT, password_at TEXT,
  pin_hash TEXT, pin_at TEXT,
  -- Wrong ones in a row since the last right one.
  wrong_passwords INTEGER NOT NULL DEFAULT 0, wrong_pins INTEGER NOT NULL DEFAULT 0,
  locked_at TEXT
) STRICT, WITHOUT ROWID;
CREATE TABLE station (
  id TEXT PRIMARY KEY, secret_hash TEXT NOT NULL UNIQUE, name TEXT NOT NULL,
  enrolled_at TEXT NOT NULL, enrolled_by TEXT NOT NULL, seen_at TEXT NOT NULL, struck_at TEXT, struck_by TEXT
) STRICT, WITHOUT ROWID;
CREATE TABLE session (
  id_hash TEXT PRIMARY KEY,
  -- By which entries that waited at a station name the stretch of work they were made in.
  stretch TEXT NOT NULL UNIQUE,
  person_id TEXT NOT NULL REFERENCES person (id), station_id TEXT REFERENCES station (id),
  way TEXT NOT NULL CHECK (way IN ('password', 'pin', 'phone')), job_id TEXT,
  token TEXT NOT NULL,
  begun_at TEXT NOT NULL, seen_at TEXT NOT NULL, ends_at TEXT NOT NULL, ended_at TEXT
) STRICT, WITHOUT ROWID;
CREATE INDEX session_by_person ON session (person_id, ended_at);
CREATE TABLE link (
  id TEXT PRIMARY KEY, secret_hash TEXT NOT NULL UNIQUE, kind TEXT NOT NULL CHECK (kind IN ('estimate', 'sheet', 'phone')),
  job_id TEXT NOT NULL, made_by TEXT NOT NULL, made_at TEXT NOT NULL, ends_at TEXT NOT NULL,
  withdrawn_at TEXT, withdrawn_by TEXT, seen_at TEXT, used_at TEXT
) STRICT, WITHOUT ROWID;
CREATE INDEX link_by_job ON link (job_id);
-- Every sign-in and every change of rights. Each line holds the hash of the one before, and none is changed or taken out.
CREATE TABLE access_line (
  seq INTEGER PRIMARY KEY, at TEXT NOT NULL, person TEXT NOT NULL, kind TEXT NOT NULL, subject TEXT NOT NULL,
  place TEXT NOT NULL, hash TEXT NOT NULL
) STRICT;
CREATE TRIGGER access_line_stays BEFORE UPDATE ON access_line
BEGIN
  SELECT RAISE(ABORT, 'A line of the access record is never changed.');
END;
CREATE TRIGGER access_line_is_kept BEFORE DELETE ON access_line
BEGIN
  SELECT RAISE(ABORT, 'A line of the access record is never taken out.');
END;
