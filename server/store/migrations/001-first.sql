-- Plain rows: what people keep lists of.
CREATE TABLE person (id TEXT PRIMARY KEY, name TEXT NOT NULL, role TEXT NOT NULL, bay TEXT NOT NULL) STRICT;
CREATE TABLE setting (key TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT;
CREATE TABLE wrench (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT;
CREATE TABLE procedure (id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, family TEXT NOT NULL, body TEXT NOT NULL) STRICT;
CREATE TABLE stock (
  id TEXT PRIMARY KEY, name TEXT NOT NULL, part_number TEXT NOT NULL, kind TEXT NOT NULL, place TEXT NOT NULL,
  counted INTEGER NOT NULL CHECK (counted >= 0), price_minor INTEGER NOT NULL CHECK (price_minor >= 0)
) STRICT;
CREATE TABLE vehicle (
  id TEXT PRIMARY KEY, plate TEXT NOT NULL, vin TEXT NOT NULL, make TEXT NOT NULL, model TEXT NOT NULL, nickname TEXT NOT NULL,
  year INTEGER, engine TEXT NOT NULL, throttle TEXT NOT NULL, idle_valve TEXT NOT NULL, owner TEXT NOT NULL, meter_unit TEXT NOT NULL,
  figures TEXT NOT NULL, units TEXT NOT NULL, notes TEXT NOT NULL,
  search TEXT NOT NULL -- lower case, everything a person might type
) STRICT;
CREATE INDEX vehicle_search ON vehicle (plate, id, search);
CREATE TABLE audit (
  id INTEGER PRIMARY KEY, at TEXT NOT NULL, person TEXT NOT NULL, kind TEXT NOT NULL, subject TEXT NOT NULL, body TEXT NOT NULL
) STRICT;
CREATE TABLE picture (
  hash TEXT PRIMARY KEY, mime TEXT NOT NULL, bytes INTEGER NOT NULL, width INTEGER NOT NULL, height INTEGER NOT NULL, added_at TEXT NOT NULL
) STRICT;

-- The log: the truth about every job. Each row's hash covers the row before it.
CREATE TABLE command (
  id TEXT PRIMARY KEY, job_id TEXT NOT NULL, first_seq INTEGER NOT NULL, last_seq INTEGER NOT NULL, received_at TEXT NOT NULL
) STRICT;
CREATE TABLE event (
  job_id TEXT NOT NULL, seq INTEGER NOT NULL, command_id TEXT NOT NULL REFERENCES command (id), at TEXT NOT NULL, person TEXT NOT NULL,
  type TEXT NOT NULL, v INTEGER NOT NULL, data TEXT NOT NULL, hash TEXT NOT NULL,
  PRIMARY KEY (job_id, seq)
) STRICT, WITHOUT ROWID;
CREATE TRIGGER event_is_append_only BEFORE UPDATE ON event BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END;
CREATE TRIGGER event_is_never_deleted BEFORE DELETE ON event BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END;

-- Projections: computed from the log, rebuilt at will, read by lists and searches.
CREATE TABLE job_summary (
  job_id TEXT PRIMARY KEY, number INTEGER NOT NULL UNIQUE, vehicle_id TEXT NOT NULL, plate TEXT NOT NULL, name TEXT NOT NULL,
  status TEXT NOT NULL, stage TEXT NOT NULL, opened_at TEXT NOT NULL, last_at TEXT NOT NULL, last_words TEXT NOT NULL, last_by TEXT NOT NULL,
  reading REAL NOT NULL, reading_unit TEXT NOT NULL, decision TEXT NOT NULL, items_off INTEGER NOT NULL, held INTEGER NOT NULL, version INTEGER NOT NULL
) STRICT;
CREATE INDEX job_by_vehicle ON job_summary (vehicle_id, opened_at);
CREATE TABLE strip_item (
  job_id TEXT NOT NULL, id TEXT NOT NULL, name TEXT NOT NULL, kind TEXT NOT NULL, origin TEXT NOT NULL, state TEXT NOT NULL, strip_order INTEGER,
  off_at TEXT, back_at TEXT, pocket TEXT NOT NULL, label TEXT NOT NULL, fitted TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE opening (
  job_id TEXT NOT NULL, id TEXT NOT NULL, name TEXT NOT NULL, state TEXT NOT NULL, plug_id TEXT, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE placed_object (
  job_id TEXT NOT NULL, id TEXT NOT NULL, what TEXT NOT NULL, place TEXT NOT NULL, is_out INTEGER NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE torque_result (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, bolt_id TEXT NOT NULL, pass INTEGER NOT NULL, is_final INTEGER NOT NULL, value REAL, unit TEXT,
  nm REAL, method TEXT NOT NULL, wrench TEXT NOT NULL, verdict TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, item_id, bolt_id)
) STRICT, WITHOUT ROWID;
CREATE TABLE finding (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, point TEXT NOT NULL, phase TEXT NOT NULL, grade INTEGER, body TEXT NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE picture_link (
  job_id TEXT NOT NULL, id TEXT NOT NULL, hash TEXT NOT NULL, subject TEXT NOT NULL, phase TEXT NOT NULL, caption TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE consumption (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, name TEXT NOT NULL, part_number TEXT NOT NULL, quantity REAL NOT NULL, unit TEXT NOT NULL,
  price_minor INTEGER NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX consumption_by_part ON consumption (part_number);
CREATE TABLE seal (
  job_id TEXT NOT NULL, id TEXT NOT NULL, name TEXT NOT NULL, decision TEXT NOT NULL, part_number TEXT NOT NULL, why TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE coolant_entry (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, litres REAL NOT NULL, value REAL NOT NULL, unit TEXT NOT NULL, concentration REAL,
  at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE measurement (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, phase TEXT NOT NULL, value REAL NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE timer (
  job_id TEXT NOT NULL, id TEXT NOT NULL, label TEXT NOT NULL, kind TEXT NOT NULL, started_at TEXT NOT NULL, minutes REAL NOT NULL, ends_at TEXT NOT NULL,
  ended_at TEXT, outcome TEXT, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX timer_running ON timer (ended_at, ends_at);
CREATE TABLE code (
  job_id TEXT NOT NULL, id TEXT NOT NULL, code TEXT NOT NULL, phase TEXT NOT NULL, status TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE run (
  job_id TEXT NOT NULL, id TEXT NOT NULL, recipe TEXT NOT NULL, purpose TEXT NOT NULL, status TEXT NOT NULL, outcome TEXT, started_at TEXT NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE vehicle_reading (
  job_id TEXT PRIMARY KEY, vehicle_id TEXT NOT NULL, value REAL NOT NULL, unit TEXT NOT NULL, at TEXT NOT NULL
) STRICT;
CREATE INDEX reading_by_vehicle ON vehicle_reading (vehicle_id, at);
