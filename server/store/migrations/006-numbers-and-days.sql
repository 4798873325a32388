-- Part numbers are compared without spaces, dashes and case: the key is what is compared. Null: to be worked out at start.
ALTER TABLE stock ADD COLUMN part_key TEXT;
ALTER TABLE need_state ADD COLUMN part_key TEXT NOT NULL DEFAULT '';
ALTER TABLE part_use ADD COLUMN part_key TEXT NOT NULL DEFAULT '';
ALTER TABLE consumption ADD COLUMN part_key TEXT NOT NULL DEFAULT '';
DROP INDEX need_by_part;
DROP INDEX use_by_part;
DROP INDEX consumption_by_part;
CREATE INDEX stock_by_key ON stock (part_key);
CREATE INDEX need_by_key ON need_state (part_key, state);
CREATE INDEX use_by_key ON part_use (part_key, at);
CREATE INDEX consumption_by_key ON consumption (part_key);

-- What the wrench showed with an adapter on, and which adapter that was.
ALTER TABLE torque_result ADD COLUMN shown REAL;
ALTER TABLE torque_result ADD COLUMN shown_unit TEXT;
ALTER TABLE torque_result ADD COLUMN adapter TEXT;

-- A tablet's own time beside the time that counts, how far it was out when it was heard, and why an entry came late.
ALTER TABLE command ADD COLUMN device_at TEXT;
ALTER TABLE command ADD COLUMN offset_ms INTEGER NOT NULL DEFAULT 0;
ALTER TABLE command ADD COLUMN late TEXT;

-- Since when the shop knows a vehicle, ISO day; null where nobody has said.
ALTER TABLE vehicle ADD COLUMN known_since TEXT;

INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');
