-- What can be found of plain rows, as their triggers write it: a check of the store holds one against the other.
CREATE VIEW row_words_meant AS
  SELECT 'vehicle' AS kind, id AS ref, plate || ' · ' || make || ' ' || model AS title, nickname || ', ' || engine || ', ' || owner || ', ' || vin || ', ' || notes AS words,
    plate_key || ' ' || vin_key || ' ' || substr(vin_key, -8) || ' ' || substr(vin_key, -7) || ' ' || substr(vin_key, -6) || ' ' || substr(vin_key, -5) || ' ' || substr(vin_key, -4) AS plain FROM vehicle
  UNION ALL SELECT 'unit', id, CASE WHEN part_number = '' THEN id ELSE part_number END, id || ', ' || kind || ', ' || place || ', ' || state, id_key || ' ' || number_key FROM unit
  UNION ALL SELECT 'stock', id, name, part_number || ', ' || place || ', ' || coalesce(json_extract(detail, '$.supplier'), ''), number_key || ' ' || coalesce(json_extract(detail, '$.barcode'), '') FROM stock
  UNION ALL SELECT 'procedure', id, name, family, '' FROM procedure;

-- Balances as they come out when everything is added up again.
CREATE VIEW stock_moved_meant AS
  SELECT s.id AS item_id, COALESCE((SELECT SUM(change) FROM stock_movement m WHERE m.item_id = s.id), 0) AS booked,
    (SELECT COUNT(*) FROM container_emptied c WHERE c.stock_id = s.id) AS emptied FROM stock s;
CREATE VIEW part_moved_meant AS
  SELECT part_key, SUM(arrived) AS arrived, SUM(used) AS used FROM (
    SELECT part_key, quantity AS arrived, 0 AS used FROM need_state WHERE part_key <> '' AND arrived_at IS NOT NULL
    UNION ALL SELECT part_key, 0, quantity FROM part_use WHERE part_key <> ''
  ) GROUP BY part_key;
CREATE VIEW stock_batch_meant AS
  SELECT item_id, batch, MAX(best_before) AS best_before, SUM(change) AS quantity FROM stock_movement WHERE batch <> '' GROUP BY item_id, batch;
CREATE VIEW reminder_open_meant AS
  SELECT job_id, id, vehicle_id, COALESCE(due_on, '9999') AS due FROM reminder r
  WHERE NOT EXISTS (SELECT 1 FROM reminder_done d WHERE d.job_id = r.job_id AND d.id = r.id);
