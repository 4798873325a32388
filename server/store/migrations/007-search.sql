-- What can be found: of each plain row one line, kept with the row; of each job several, made from its log.
-- A word begun is looked up whole by its first six letters at most; what is longer is compared then.
-- `plain` is what numbers, plates and VINs are without spaces, dashes and case; of a VIN also its last eight to four signs.
ALTER TABLE vehicle ADD COLUMN plate_key TEXT GENERATED ALWAYS AS (upper(replace(replace(replace(replace(replace(replace(replace(plate, ' ', ''), '-', ''), '.', ''), '/', ''), '_', ''), char(160), ''), char(8211), ''))) VIRTUAL;
ALTER TABLE vehicle ADD COLUMN vin_key TEXT GENERATED ALWAYS AS (upper(replace(replace(replace(replace(replace(replace(replace(vin, ' ', ''), '-', ''), '.', ''), '/', ''), '_', ''), char(160), ''), char(8211), ''))) VIRTUAL;
ALTER TABLE unit ADD COLUMN id_key TEXT GENERATED ALWAYS AS (upper(replace(replace(replace(replace(replace(replace(replace(id, ' ', ''), '-', ''), '.', ''), '/', ''), '_', ''), char(160), ''), char(8211), ''))) VIRTUAL;
ALTER TABLE unit ADD COLUMN number_key TEXT GENERATED ALWAYS AS (upper(replace(replace(replace(replace(replace(replace(replace(part_number, ' ', ''), '-', ''), '.', ''), '/', ''), '_', ''), char(160), ''), char(8211), ''))) VIRTUAL;
ALTER TABLE stock ADD COLUMN number_key TEXT GENERATED ALWAYS AS (upper(replace(replace(replace(replace(replace(replace(replace(part_number, ' ', ''), '-', ''), '.', ''), '/', ''), '_', ''), char(160), ''), char(8211), ''))) VIRTUAL;
CREATE INDEX vehicle_by_plate_key ON vehicle (plate_key);

CREATE TABLE row_words (
  id INTEGER PRIMARY KEY, kind TEXT NOT NULL, ref TEXT NOT NULL, title TEXT NOT NULL, words TEXT NOT NULL, plain TEXT NOT NULL, UNIQUE (kind, ref)
) STRICT;
CREATE VIRTUAL TABLE row_found USING fts5 (
  kind, title, words, plain, content = 'row_words', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3 4 5 6'
);
CREATE TRIGGER row_words_come AFTER INSERT ON row_words BEGIN
  INSERT INTO row_found (rowid, kind, title, words, plain) VALUES (new.id, new.kind, new.title, new.words, new.plain);
END;
CREATE TRIGGER row_words_go AFTER DELETE ON row_words BEGIN
  INSERT INTO row_found (row_found, rowid, kind, title, words, plain) VALUES ('delete', old.id, old.kind, old.title, old.words, old.plain);
END;
CREATE TRIGGER row_words_change AFTER UPDATE ON row_words BEGIN
  INSERT INTO row_found (row_found, rowid, kind, title, words, plain) VALUES ('delete', old.id, old.kind, old.title, old.words, old.plain);
  INSERT INTO row_found (rowid, kind, title, words, plain) VALUES (new.id, new.kind, new.title, new.words, new.plain);
END;

-- A projection: `piece` says what of the job it is.
CREATE TABLE job_words (
  id INTEGER PRIMARY KEY, job_id TEXT NOT NULL, piece TEXT NOT NULL, ref TEXT NOT NULL, words TEXT NOT NULL, plain TEXT NOT NULL, UNIQUE (job_id, piece, ref)
) STRICT;
CREATE VIRTUAL TABLE job_found USING fts5 (
  piece, words, plain, content = 'job_words', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3 4 5 6'
);
CREATE TRIGGER job_words_come AFTER INSERT ON job_words BEGIN
  INSERT INTO job_found (rowid, piece, words, plain) VALUES (new.id, new.piece, new.words, new.plain);
END;
CREATE TRIGGER job_words_go AFTER DELETE ON job_words BEGIN
  INSERT INTO job_found (job_found, rowid, piece, words, plain) VALUES ('delete', old.id, old.piece, old.words, old.plain);
END;

-- Plain rows keep themselves found.
INSERT INTO row_words (kind, ref, title, words, plain) SELECT 'vehicle', id, plate || ' · ' || make || ' ' || model, nickname || ', ' || engine || ', ' || owner || ', ' || vin || ', ' || notes, plate_key || ' ' || vin_key || ' ' || substr(vin_key, -8) || ' ' || substr(vin_key, -7) || ' ' || substr(vin_key, -6) || ' ' || substr(vin_key, -5) || ' ' || substr(vin_key, -4) FROM vehicle;
CREATE TRIGGER vehicle_found_come AFTER INSERT ON vehicle BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('vehicle', new.id, new.plate || ' · ' || new.make || ' ' || new.model, new.nickname || ', ' || new.engine || ', ' || new.owner || ', ' || new.vin || ', ' || new.notes, new.plate_key || ' ' || new.vin_key || ' ' || substr(new.vin_key, -8) || ' ' || substr(new.vin_key, -7) || ' ' || substr(new.vin_key, -6) || ' ' || substr(new.vin_key, -5) || ' ' || substr(new.vin_key, -4))
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER vehicle_found_change AFTER UPDATE ON vehicle BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('vehicle', new.id, new.plate || ' · ' || new.make || ' ' || new.model, new.nickname || ', ' || new.engine || ', ' || new.owner || ', ' || new.vin || ', ' || new.notes, new.plate_key || ' ' || new.vin_key || ' ' || substr(new.vin_key, -8) || ' ' || substr(new.vin_key, -7) || ' ' || substr(new.vin_key, -6) || ' ' || substr(new.vin_key, -5) || ' ' || substr(new.vin_key, -4))
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER vehicle_found_go AFTER DELETE ON vehicle BEGIN
  DELETE FROM row_words WHERE kind = 'vehicle' AND ref = old.id;
END;
INSERT INTO row_words (kind, ref, title, words, plain) SELECT 'unit', id, CASE WHEN part_number = '' THEN id ELSE part_number END, id || ', ' || kind || ', ' || place || ', ' || state, id_key || ' ' || number_key FROM unit;
CREATE TRIGGER unit_found_come AFTER INSERT ON unit BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('unit', new.id, CASE WHEN new.part_number = '' THEN new.id ELSE new.part_number END, new.id || ', ' || new.kind || ', ' || new.place || ', ' || new.state, new.id_key || ' ' || new.number_key)
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER unit_found_change AFTER UPDATE ON unit BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('unit', new.id, CASE WHEN new.part_number = '' THEN new.id ELSE new.part_number END, new.id || ', ' || new.kind || ', ' || new.place || ', ' || new.state, new.id_key || ' ' || new.number_key)
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER unit_found_go AFTER DELETE ON unit BEGIN
  DELETE FROM row_words WHERE kind = 'unit' AND ref = old.id;
END;
INSERT INTO row_words (kind, ref, title, words, plain) SELECT 'stock', id, name, part_number || ', ' || place || ', ' || coalesce(json_extract(detail, '$.supplier'), ''), number_key || ' ' || coalesce(json_extract(detail, '$.barcode'), '') FROM stock;
CREATE TRIGGER stock_found_come AFTER INSERT ON stock BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('stock', new.id, new.name, new.part_number || ', ' || new.place || ', ' || coalesce(json_extract(new.detail, '$.supplier'), ''), new.number_key || ' ' || coalesce(json_extract(new.detail, '$.barcode'), ''))
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER stock_found_change AFTER UPDATE ON stock BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('stock', new.id, new.name, new.part_number || ', ' || new.place || ', ' || coalesce(json_extract(new.detail, '$.supplier'), ''), new.number_key || ' ' || coalesce(json_extract(new.detail, '$.barcode'), ''))
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER stock_found_go AFTER DELETE ON stock BEGIN
  DELETE FROM row_words WHERE kind = 'stock' AND ref = old.id;
END;
INSERT INTO row_words (kind, ref, title, words, plain) SELECT 'procedure', id, name, family, '' FROM procedure;
CREATE TRIGGER procedure_found_come AFTER INSERT ON procedure BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('procedure', new.id, new.name, new.family, '')
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER procedure_found_change AFTER UPDATE ON procedure BEGIN
  INSERT INTO row_words (kind, ref, title, words, plain) VALUES ('procedure', new.id, new.name, new.family, '')
    ON CONFLICT (kind, ref) DO UPDATE SET title = excluded.title, words = excluded.words, plain = excluded.plain
    WHERE title <> excluded.title OR words <> excluded.words OR plain <> excluded.plain;
END;
CREATE TRIGGER procedure_found_go AFTER DELETE ON procedure BEGIN
  DELETE FROM row_words WHERE kind = 'procedure' AND ref = old.id;
END;

-- Lists are filtered by the same words: a row's own are in its column, made anew at the next start.
ALTER TABLE stock ADD COLUMN search TEXT;
ALTER TABLE job_summary ADD COLUMN search TEXT NOT NULL DEFAULT '';
INSERT OR REPLACE INTO setting (key, value) VALUES ('vehicle-words', 'to be made anew');
INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew');
