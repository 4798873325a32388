-- Lists are read from columns that are kept with what changes them, and paged by key.

-- What jobs want that they do not have: a projection with rows of open jobs only.
CREATE TABLE job_want (
  job_id TEXT NOT NULL, need_id TEXT NOT NULL, number INTEGER NOT NULL, part_number TEXT NOT NULL, part_key TEXT NOT NULL, kind TEXT NOT NULL, state TEXT NOT NULL,
  quantity INTEGER NOT NULL, wanted REAL NOT NULL, ordered_at TEXT, expected TEXT, PRIMARY KEY (job_id, need_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX want_by_part ON job_want (part_key, state);

-- An open job as the Bay keeps it: also rows of open jobs only.
CREATE TABLE bay_line (
  job_id TEXT PRIMARY KEY, nickname TEXT NOT NULL, plug TEXT, plug_minutes REAL, plug_urgency INTEGER, beside TEXT, beside_minutes REAL, beside_urgency INTEGER,
  step TEXT NOT NULL, step_minutes REAL NOT NULL, step_urgency INTEGER NOT NULL, part TEXT, part_expected TEXT
) STRICT;

-- Stretches of a job in which somebody worked on it, grown with each entry.
CREATE TABLE hands_on (
  job_id TEXT NOT NULL, started_at TEXT NOT NULL, ended_at TEXT NOT NULL, PRIMARY KEY (job_id, started_at)
) STRICT, WITHOUT ROWID;

-- Balances: by thing what was booked in and what was emptied, by part number what jobs got for themselves and used.
CREATE TABLE stock_moved (item_id TEXT PRIMARY KEY, booked INTEGER NOT NULL, emptied INTEGER NOT NULL) STRICT, WITHOUT ROWID;
CREATE TABLE part_moved (part_key TEXT PRIMARY KEY, arrived INTEGER NOT NULL, used REAL NOT NULL) STRICT, WITHOUT ROWID;
CREATE TABLE stock_batch (
  item_id TEXT NOT NULL, batch TEXT NOT NULL, best_before TEXT, quantity INTEGER NOT NULL, PRIMARY KEY (item_id, batch)
) STRICT, WITHOUT ROWID;
INSERT INTO stock_moved (item_id, booked, emptied)
  SELECT s.id, COALESCE((SELECT SUM(change) FROM stock_movement m WHERE m.item_id = s.id), 0), (SELECT COUNT(*) FROM container_emptied c WHERE c.stock_id = s.id) FROM stock s;
INSERT INTO part_moved (part_key, arrived, used)
  SELECT part_key, SUM(arrived), SUM(used) FROM (
    SELECT part_key, quantity AS arrived, 0 AS used FROM need_state WHERE part_key <> '' AND arrived_at IS NOT NULL
    UNION ALL SELECT part_key, 0, quantity FROM part_use WHERE part_key <> ''
  ) GROUP BY part_key;
INSERT INTO stock_batch (item_id, batch, best_before, quantity)
  SELECT item_id, batch, MAX(best_before), SUM(change) FROM stock_movement WHERE batch <> '' GROUP BY item_id, batch;
CREATE TRIGGER movement_is_counted AFTER INSERT ON stock_movement BEGIN
  INSERT INTO stock_moved (item_id, booked, emptied) VALUES (new.item_id, new.change, 0)
    ON CONFLICT (item_id) DO UPDATE SET booked = booked + excluded.booked;
  INSERT INTO stock_batch (item_id, batch, best_before, quantity) SELECT new.item_id, new.batch, new.best_before, new.change WHERE new.batch <> ''
    ON CONFLICT (item_id, batch) DO UPDATE SET quantity = quantity + excluded.quantity,
      best_before = CASE WHEN best_before IS NULL OR excluded.best_before > best_before THEN excluded.best_before ELSE best_before END;
END;
CREATE TRIGGER can_is_emptied AFTER INSERT ON can_use WHEN new.emptied = 1 AND new.stock_id IS NOT NULL BEGIN
  INSERT INTO stock_moved (item_id, booked, emptied) VALUES (new.stock_id, 0, 1) ON CONFLICT (item_id) DO UPDATE SET emptied = emptied + 1;
END;
CREATE TRIGGER can_is_not_emptied AFTER DELETE ON can_use WHEN old.emptied = 1 AND old.stock_id IS NOT NULL BEGIN
  UPDATE stock_moved SET emptied = emptied - 1 WHERE item_id = old.stock_id;
END;
CREATE TRIGGER bottle_is_emptied AFTER INSERT ON coolant_entry WHEN new.emptied = 1 AND new.stock_id IS NOT NULL BEGIN
  INSERT INTO stock_moved (item_id, booked, emptied) VALUES (new.stock_id, 0, 1) ON CONFLICT (item_id) DO UPDATE SET emptied = emptied + 1;
END;
CREATE TRIGGER bottle_is_not_emptied AFTER DELETE ON coolant_entry WHEN old.emptied = 1 AND old.stock_id IS NOT NULL BEGIN
  UPDATE stock_moved SET emptied = emptied - 1 WHERE item_id = old.stock_id;
END;
CREATE TRIGGER part_is_used AFTER INSERT ON part_use WHEN new.part_key <> '' BEGIN
  INSERT INTO part_moved (part_key, arrived, used) VALUES (new.part_key, 0, new.quantity) ON CONFLICT (part_key) DO UPDATE SET used = used + excluded.used;
END;
CREATE TRIGGER part_is_not_used AFTER DELETE ON part_use WHEN old.part_key <> '' BEGIN
  UPDATE part_moved SET used = used - old.quantity WHERE part_key = old.part_key;
END;
CREATE TRIGGER part_arrives AFTER INSERT ON need_state WHEN new.part_key <> '' AND new.arrived_at IS NOT NULL BEGIN
  INSERT INTO part_moved (part_key, arrived, used) VALUES (new.part_key, new.quantity, 0) ON CONFLICT (part_key) DO UPDATE SET arrived = arrived + excluded.arrived;
END;
CREATE TRIGGER part_does_not_arrive AFTER DELETE ON need_state WHEN old.part_key <> '' AND old.arrived_at IS NOT NULL BEGIN
  UPDATE part_moved SET arrived = arrived - old.quantity WHERE part_key = old.part_key;
END;

-- Reminders that nobody has dealt with: what is done long ago is never read again.
CREATE TABLE reminder_open (
  job_id TEXT NOT NULL, id TEXT NOT NULL, vehicle_id TEXT NOT NULL, due TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX open_by_day ON reminder_open (due, job_id, id);
CREATE INDEX open_by_vehicle ON reminder_open (vehicle_id, due, job_id, id);
INSERT INTO reminder_open (job_id, id, vehicle_id, due)
  SELECT job_id, id, vehicle_id, COALESCE(due_on, '9999') FROM reminder r
  WHERE NOT EXISTS (SELECT 1 FROM reminder_done d WHERE d.job_id = r.job_id AND d.id = r.id);
CREATE TRIGGER reminder_comes AFTER INSERT ON reminder WHEN NOT EXISTS (SELECT 1 FROM reminder_done d WHERE d.job_id = new.job_id AND d.id = new.id) BEGIN
  INSERT OR REPLACE INTO reminder_open (job_id, id, vehicle_id, due) VALUES (new.job_id, new.id, new.vehicle_id, COALESCE(new.due_on, '9999'));
END;
CREATE TRIGGER reminder_goes AFTER DELETE ON reminder BEGIN
  DELETE FROM reminder_open WHERE job_id = old.job_id AND id = old.id;
END;
CREATE TRIGGER reminder_is_done AFTER INSERT ON reminder_done BEGIN
  DELETE FROM reminder_open WHERE job_id = new.job_id AND id = new.id;
END;

-- What was used of a thing lately, and each list in each of its orders.
CREATE INDEX movement_by_time ON stock_movement (item_id, at, id);
CREATE INDEX used_by_item ON stock_movement (item_id, at) WHERE kind = 'used';
DROP INDEX can_by_stock;
CREATE INDEX can_by_stock ON can_use (stock_id, at) WHERE emptied = 1;
DROP INDEX coolant_by_stock;
CREATE INDEX coolant_by_stock ON coolant_entry (stock_id, at) WHERE emptied = 1;
CREATE INDEX arrival_by_part ON need_state (part_key, arrived_at) WHERE arrived_at IS NOT NULL;
CREATE INDEX stock_by_name ON stock (name, id);
CREATE INDEX stock_by_number ON stock (part_number, id);
CREATE INDEX stock_by_place ON stock (place, id);
CREATE INDEX stock_by_kind ON stock (kind, name, id);
CREATE INDEX job_by_status ON job_summary (status, number);
CREATE INDEX job_by_last ON job_summary (last_at, number);
CREATE INDEX job_by_plate ON job_summary (plate, number);
CREATE INDEX vehicle_by_make ON vehicle (make, model, id);
CREATE INDEX vehicle_by_owner ON vehicle (owner, id);
CREATE INDEX loose_by_state ON unit (state, id) WHERE vehicle_id IS NULL;
CREATE INDEX loose_by_number ON unit (part_number, id) WHERE vehicle_id IS NULL;
CREATE INDEX loose_by_place ON unit (place, id) WHERE vehicle_id IS NULL;
CREATE INDEX replaced_by_time ON unit_replaced (at, job_id, id);

INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');
