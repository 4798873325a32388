-- What a vehicle is used as, where somebody said so.
ALTER TABLE vehicle ADD COLUMN use TEXT;

-- Who has left the workshop: their entries keep their name, and they are not offered any more.
ALTER TABLE person ADD COLUMN left_at TEXT;

-- Who has a job, whether it rests and until when, and whether it was called off.
ALTER TABLE job_summary ADD COLUMN assigned TEXT;
ALTER TABLE job_summary ADD COLUMN aside_until TEXT;
ALTER TABLE job_summary ADD COLUMN aside_why TEXT;
ALTER TABLE job_summary ADD COLUMN cancelled TEXT;

-- What each group of fasteners is tightened to, and what has no figure; see core/job/torque.
CREATE TABLE fastener_group (
  job_id TEXT NOT NULL, item_id TEXT NOT NULL, name TEXT NOT NULL, joint TEXT NOT NULL, count INTEGER NOT NULL, thread TEXT NOT NULL,
  thread_key TEXT NOT NULL, text TEXT, target_nm REAL, source TEXT, by_feel TEXT, wanted INTEGER NOT NULL, PRIMARY KEY (job_id, item_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX fastener_group_by_thread ON fastener_group (thread_key, job_id) WHERE text IS NOT NULL;
