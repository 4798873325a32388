-- Recordings of live data: files named by their hash beside the pictures, what was kept of them on jobs, and their figures.
CREATE TABLE recording (
  hash TEXT PRIMARY KEY, bytes INTEGER NOT NULL, added_at TEXT NOT NULL
) STRICT;
CREATE TABLE recording_kept (
  job_id TEXT NOT NULL, id TEXT NOT NULL, hash TEXT NOT NULL, phase TEXT NOT NULL, started_at TEXT NOT NULL, seconds REAL NOT NULL,
  readings INTEGER NOT NULL, source TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE trace_figure (
  job_id TEXT NOT NULL, recording_id TEXT NOT NULL, kind TEXT NOT NULL, phase TEXT NOT NULL, value REAL NOT NULL, sd REAL,
  PRIMARY KEY (job_id, recording_id, kind)
) STRICT, WITHOUT ROWID;
-- Instruments of the bench, and the station that each is paired with: what one shows goes to no other.
CREATE TABLE instrument_pair (
  instrument_id TEXT PRIMARY KEY, station TEXT NOT NULL, paired_at TEXT NOT NULL
) STRICT;
