-- Plain rows: stock by movements, orders, which number may stand in for which, how the bay was aired, what was settled.
ALTER TABLE stock ADD COLUMN detail TEXT NOT NULL DEFAULT '{}';
CREATE TABLE stock_movement (
  id INTEGER PRIMARY KEY, sent_as TEXT NOT NULL UNIQUE, item_id TEXT NOT NULL REFERENCES stock (id), at TEXT NOT NULL, person TEXT NOT NULL, kind TEXT NOT NULL, change INTEGER NOT NULL,
  batch TEXT NOT NULL, best_before TEXT, note TEXT NOT NULL
) STRICT;
CREATE INDEX movement_by_item ON stock_movement (item_id, id);
CREATE TRIGGER movement_is_never_changed BEFORE UPDATE ON stock_movement BEGIN SELECT RAISE(ABORT, 'a movement of stock is never changed'); END;
CREATE TRIGGER movement_is_never_deleted BEFORE DELETE ON stock_movement BEGIN SELECT RAISE(ABORT, 'a movement of stock is never deleted'); END;
INSERT INTO stock_movement (sent_as, item_id, at, person, kind, change, batch, best_before, note)
  SELECT 'first ' || id, id, '', 'shop', 'counted', counted, '', NULL, 'as counted before movements were kept' FROM stock WHERE counted <> 0;
CREATE TABLE stock_order (
  id TEXT PRIMARY KEY, item_id TEXT NOT NULL REFERENCES stock (id), quantity INTEGER NOT NULL CHECK (quantity > 0), ordered_at TEXT NOT NULL, person TEXT NOT NULL,
  expected TEXT, supplier TEXT NOT NULL, note TEXT NOT NULL, received INTEGER NOT NULL DEFAULT 0, closed_at TEXT
) STRICT;
CREATE INDEX order_by_item ON stock_order (item_id, closed_at);
CREATE TABLE cross_reference (
  a TEXT NOT NULL, b TEXT NOT NULL, fit TEXT NOT NULL, note TEXT NOT NULL, source TEXT, at TEXT NOT NULL, person TEXT NOT NULL, PRIMARY KEY (a, b)
) STRICT, WITHOUT ROWID;
CREATE TABLE airing (id INTEGER PRIMARY KEY, at TEXT NOT NULL, person TEXT NOT NULL, state TEXT NOT NULL) STRICT;
CREATE TABLE reminder_done (job_id TEXT NOT NULL, id TEXT NOT NULL, at TEXT NOT NULL, person TEXT NOT NULL, note TEXT NOT NULL, PRIMARY KEY (job_id, id)) STRICT, WITHOUT ROWID;
CREATE TABLE return_sent (job_id TEXT NOT NULL, id TEXT NOT NULL, at TEXT NOT NULL, person TEXT NOT NULL, note TEXT NOT NULL, PRIMARY KEY (job_id, id)) STRICT, WITHOUT ROWID;

-- Projections.
ALTER TABLE need_state ADD COLUMN quantity INTEGER NOT NULL DEFAULT 1;
ALTER TABLE need_state ADD COLUMN ordered_at TEXT;
ALTER TABLE need_state ADD COLUMN arrived_at TEXT;
CREATE TABLE point_judged (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, kind TEXT NOT NULL, form TEXT NOT NULL, point TEXT NOT NULL, which TEXT NOT NULL, phase TEXT NOT NULL,
  verdict TEXT NOT NULL, value REAL, low REAL, high REAL, source TEXT, words TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX judged_by_point ON point_judged (point, verdict);
CREATE TABLE picture_marking (
  job_id TEXT NOT NULL, id TEXT NOT NULL, rotation INTEGER NOT NULL, marks TEXT NOT NULL, anchors TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE seized_screw (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, place TEXT NOT NULL, thread TEXT NOT NULL, host TEXT NOT NULL, rungs TEXT NOT NULL, outcome TEXT, at TEXT NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE clean_pass (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, kind TEXT NOT NULL, substance TEXT, way TEXT, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE can_use (
  job_id TEXT NOT NULL, id TEXT NOT NULL, substance TEXT NOT NULL, grams REAL NOT NULL, minutes REAL NOT NULL, stock_id TEXT, emptied INTEGER NOT NULL,
  price_minor INTEGER, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX can_by_time ON can_use (at);
CREATE INDEX can_by_stock ON can_use (stock_id);
ALTER TABLE coolant_entry ADD COLUMN stock_id TEXT;
ALTER TABLE coolant_entry ADD COLUMN emptied INTEGER NOT NULL DEFAULT 0;
CREATE INDEX coolant_by_stock ON coolant_entry (stock_id);
-- Cans and bottles leave the stock when they are empty, not by the gram or the litre.
CREATE VIEW container_emptied AS
  SELECT job_id, stock_id, at FROM can_use WHERE emptied = 1 AND stock_id IS NOT NULL
  UNION ALL SELECT job_id, stock_id, at FROM coolant_entry WHERE emptied = 1 AND stock_id IS NOT NULL;
CREATE TABLE part_use (
  job_id TEXT NOT NULL, id TEXT NOT NULL, part_number TEXT NOT NULL, quantity REAL NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX use_by_part ON part_use (part_number, at);
CREATE TABLE waste (
  job_id TEXT NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, amount TEXT NOT NULL, place TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE piece_apart (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, what TEXT NOT NULL, place TEXT NOT NULL, returned_at TEXT, renewed INTEGER, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE sensor_sweep (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, phase TEXT NOT NULL, deviation REAL NOT NULL, good INTEGER NOT NULL, points TEXT NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE screw_turn (
  job_id TEXT NOT NULL, id TEXT NOT NULL, unit TEXT NOT NULL, screw TEXT NOT NULL, turns REAL NOT NULL, why TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE unit_replaced (
  job_id TEXT NOT NULL, id TEXT NOT NULL, vehicle_id TEXT NOT NULL, unit TEXT NOT NULL, kind TEXT NOT NULL, place TEXT NOT NULL, old_unit TEXT NOT NULL, old_number TEXT NOT NULL,
  new_unit TEXT NOT NULL, part_number TEXT NOT NULL, origin TEXT NOT NULL, price_minor INTEGER NOT NULL, supplier TEXT NOT NULL, warranty_until TEXT,
  fail_code TEXT NOT NULL, fail_note TEXT NOT NULL, verdict TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX replaced_by_vehicle ON unit_replaced (vehicle_id, at);
CREATE TABLE coolant_test (
  job_id TEXT NOT NULL, id TEXT NOT NULL, phase TEXT NOT NULL, tool TEXT NOT NULL, celsius REAL NOT NULL, share REAL NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE TABLE leak_check (
  job_id TEXT NOT NULL, phase TEXT NOT NULL, result TEXT NOT NULL, place TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (job_id, phase)
) STRICT, WITHOUT ROWID;
CREATE TABLE reminder (
  job_id TEXT NOT NULL, id TEXT NOT NULL, vehicle_id TEXT NOT NULL, what TEXT NOT NULL, due_on TEXT, due_reading REAL, reading_unit TEXT NOT NULL, PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX reminder_by_vehicle ON reminder (vehicle_id, due_on);
-- Jobs of before have none of these rows yet: the store makes them from the logs when it is next opened.
INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');
