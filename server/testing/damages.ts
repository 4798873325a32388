import {
  closeSync,
  openSync,
  readdirSync,
  readFileSync,
  readSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import type { FindingKind } from '../../contract/index.ts';
import type { Place } from '../keeping/place.ts';
import { CHAIN_START, chainHash } from '../store/chain.ts';

/** 0 up to 1, from a seed. */
export type Random = () => number;

/** Numerical Recipes' linear congruential generator: the same seed damages the same things. */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/** Something that goes wrong with a store behind the program's back. */
export interface Damage {
  readonly name: string;
  /** Any of these names it. */
  readonly found: readonly FindingKind[];
  readonly plant: (place: Place, random: Random) => void;
}

const one = <T>(list: readonly T[], random: Random): T => {
  const chosen = list[Math.floor(random() * list.length)];
  if (chosen === undefined) throw new Error('There is nothing to damage.');
  return chosen;
};

/** Changes a database as somebody would who knows SQL and not the program: triggers and references do not hold him up. */
function behindItsBack(place: Place, work: (db: Database) => void): void {
  const db = new Sqlite(place.store);
  // The tables inside an index of words may be written to then.
  db.unsafeMode();
  try {
    db.pragma('foreign_keys = OFF');
    const triggers = db
      .prepare<[], { name: string; sql: string }>("SELECT name, sql FROM sqlite_schema WHERE type = 'trigger'")
      .all();
    db.transaction(() => {
      for (const { name } of triggers) db.exec(`DROP TRIGGER ${name}`);
      work(db);
      for (const { sql } of triggers) db.exec(sql);
    })();
  } finally {
    db.close();
  }
}

type Row = Readonly<Record<string, string | number | null>>;
const rowsOf = (db: Database, sql: string): Row[] => db.prepare<[], Row>(sql).all();

/** One statement on one row. @param pick which rows may be hit @param hit what is done to it, with the row's columns by name */
const sql =
  (pick: string, hit: string) =>
  (place: Place, random: Random): void =>
    behindItsBack(place, (db) => {
      const { changes } = db.prepare(hit).run(one(rowsOf(db, pick), random));
      if (changes === 0) throw new Error('Nothing was damaged.');
    });

/** An entry of a log that is neither the first nor the last of its job. */
const INNER = `SELECT job_id, seq, command_id FROM event e WHERE seq > 2
  AND EXISTS (SELECT 1 FROM event l WHERE l.job_id = e.job_id AND l.seq = e.seq + 1)`;

const PROJECTED = [
  ['job_summary', 'last_words'],
  ['strip_item', 'name'],
  ['finding', 'point'],
  ['need_state', 'name'],
  ['torque_result', 'verdict'],
  ['job_words', 'words'],
  ['seal', 'why'],
] as const;

/** What can go wrong, at least one for each thing that a check proves. */
export const DAMAGES: readonly Damage[] = [
  {
    name: 'what an entry says is altered',
    found: ['chain'],
    plant: sql(
      INNER,
      "UPDATE event SET data = replace(data, '{', '{ \"more\": 1, ') WHERE job_id = @job_id AND seq = @seq",
    ),
  },
  {
    name: 'who made an entry is altered',
    found: ['chain'],
    plant: sql(INNER, "UPDATE event SET person = 'nobody' WHERE job_id = @job_id AND seq = @seq"),
  },
  {
    name: 'when an entry was made is altered',
    found: ['chain'],
    plant: sql(INNER, "UPDATE event SET at = '2020-01-01T00:00:00.000Z' WHERE job_id = @job_id AND seq = @seq"),
  },
  {
    name: 'an entry is no JSON',
    found: ['chain'],
    plant: sql(
      INNER,
      'UPDATE event SET data = substr(data, 1, length(data) - 1) WHERE job_id = @job_id AND seq = @seq',
    ),
  },
  {
    name: 'an entry is taken out',
    found: ['chain'],
    plant: sql(INNER, 'DELETE FROM event WHERE job_id = @job_id AND seq = @seq'),
  },
  {
    name: 'the end of a log is cut off, with all that was made of it',
    found: ['cut'],
    plant: (place, random) =>
      behindItsBack(place, (db) => {
        const { job_id: jobId } = one(
          rowsOf(db, 'SELECT job_id FROM event GROUP BY job_id HAVING COUNT(*) > 3'),
          random,
        );
        const last = rowsOf(db, `SELECT MAX(seq) AS seq FROM event WHERE job_id = '${jobId}'`)[0]?.seq ?? 0;
        const from = Number(last) - Math.floor(random() * 2);
        db.prepare('DELETE FROM command WHERE job_id = ? AND last_seq >= ?').run(jobId, from);
        db.prepare('DELETE FROM event WHERE job_id = ? AND seq >= ?').run(jobId, from);
        db.prepare("UPDATE setting SET value = 'to be made anew' WHERE key = 'projected-by'").run();
      }),
  },
  {
    name: 'a whole job is taken out',
    found: ['cut'],
    plant: sql('SELECT DISTINCT job_id FROM event', 'DELETE FROM event WHERE job_id = @job_id'),
  },
  {
    name: 'a log is written anew from its middle on, its chain too',
    found: ['cut'],
    plant: (place, random) =>
      behindItsBack(place, (db) => {
        const { job_id: jobId, seq: from } = one(rowsOf(db, INNER), random);
        let previous = CHAIN_START;
        for (const row of db
          .prepare<[unknown], Row>('SELECT * FROM event WHERE job_id = ? ORDER BY seq')
          .all(jobId) as readonly Row[]) {
          const by = Number(row.seq) === Number(from) ? 'marit' : String(row.person);
          previous = chainHash(previous, String(jobId), {
            seq: Number(row.seq),
            commandId: String(row.command_id),
            at: String(row.at),
            by,
            type: String(row.type),
            v: Number(row.v),
            data: JSON.parse(String(row.data)) as unknown,
          });
          db.prepare('UPDATE event SET person = ?, hash = ? WHERE job_id = ? AND seq = ?').run(
            by,
            previous,
            jobId,
            row.seq,
          );
        }
      }),
  },
  {
    name: 'an entry is of a kind that nobody knows',
    found: ['log', 'chain'],
    plant: sql(INNER, "UPDATE event SET type = 'plate-polished' WHERE job_id = @job_id AND seq = @seq"),
  },
  {
    name: 'what a command wrote is said otherwise',
    found: ['command'],
    plant: sql('SELECT id FROM command', 'UPDATE command SET last_seq = last_seq + 1 WHERE id = @id'),
  },
  {
    name: 'an entry’s command is not there',
    found: ['reference'],
    plant: sql('SELECT id FROM command', 'DELETE FROM command WHERE id = @id'),
  },
  {
    name: 'a column that is kept says something else',
    found: ['projection'],
    plant: (place, random) => {
      const [table, column] = one(PROJECTED, random);
      sql(
        `SELECT rowid_of.* FROM (SELECT job_id, ${column} AS was FROM ${table}) rowid_of`,
        `UPDATE ${table} SET ${column} = ${column} || '!' WHERE job_id = @job_id AND ${column} IS @was`,
      )(place, random);
    },
  },
  {
    name: 'a row that is kept is gone',
    found: ['projection'],
    plant: (place, random) => {
      const [table] = one(PROJECTED, random);
      sql(`SELECT DISTINCT job_id FROM ${table}`, `DELETE FROM ${table} WHERE job_id = @job_id`)(place, random);
    },
  },
  {
    name: 'rows are there of a job that is not',
    found: ['projection'],
    plant: sql(
      'SELECT job_id FROM job_summary',
      "INSERT INTO told VALUES (@job_id || '-ghost', 't', 'left behind', '2026-05-13T13:10:00.000Z')",
    ),
  },
  {
    name: 'the time worked is another',
    found: ['projection'],
    plant: sql(
      'SELECT job_id, started_at FROM hands_on',
      "UPDATE hands_on SET ended_at = '2031-01-01T00:00:00.000Z' WHERE job_id = @job_id AND started_at = @started_at",
    ),
  },
  {
    name: 'a balance is out by one',
    found: ['balance'],
    plant: sql(
      'SELECT item_id FROM stock_moved',
      'UPDATE stock_moved SET booked = booked + 1 WHERE item_id = @item_id',
    ),
  },
  {
    name: 'what a stage took is another',
    found: ['balance'],
    plant: sql(
      'SELECT job_id, stage FROM stage_took',
      'UPDATE stage_took SET took = took + 1 WHERE job_id = @job_id AND stage = @stage',
    ),
  },
  {
    name: 'a part that was used is forgotten',
    found: ['balance'],
    plant: sql('SELECT part_key FROM part_moved', 'DELETE FROM part_moved WHERE part_key = @part_key'),
  },
  {
    name: 'an open reminder is gone',
    found: ['balance'],
    plant: sql('SELECT job_id, id FROM reminder_open', 'DELETE FROM reminder_open WHERE job_id = @job_id AND id = @id'),
  },
  {
    name: 'what a row is found by is another',
    found: ['search'],
    plant: sql('SELECT id FROM row_words', "UPDATE row_words SET words = 'something else' WHERE id = @id"),
  },
  {
    name: 'the index of words has lost some',
    found: ['search', 'file'],
    plant: sql('SELECT id FROM row_found_data WHERE id > 10', 'DELETE FROM row_found_data WHERE id = @id'),
  },
  {
    name: 'a person has no role that there is',
    found: ['row'],
    plant: sql('SELECT id FROM person', "UPDATE person SET role = 'wizard' WHERE id = @id"),
  },
  {
    name: 'a vehicle’s figures are no JSON',
    found: ['row'],
    plant: sql('SELECT id FROM vehicle', 'UPDATE vehicle SET figures = substr(figures, 1, 9) WHERE id = @id'),
  },
  {
    name: 'a vehicle is changed without a trace',
    found: ['row'],
    plant: sql('SELECT id FROM vehicle', "UPDATE vehicle SET notes = notes || ' sold' WHERE id = @id"),
  },
  {
    name: 'an engine family is changed without a trace',
    found: ['row'],
    plant: sql(
      "SELECT id FROM engine_family WHERE body LIKE '%idleRpm%'",
      `UPDATE engine_family SET body = replace(body, '"low":', '"low":1') WHERE id = @id`,
    ),
  },
  {
    name: 'a vehicle is gone',
    found: ['row'],
    plant: sql('SELECT vehicle_id FROM job_summary', 'DELETE FROM vehicle WHERE id = @vehicle_id'),
  },
  {
    name: 'a procedure is not its newest version',
    found: ['row'],
    plant: sql(
      'SELECT id FROM procedure',
      "UPDATE procedure SET body = replace(body, 'torque', 'Torque') WHERE id = @id",
    ),
  },
  {
    name: 'a version of the knowledge cannot be read',
    found: ['row'],
    plant: sql('SELECT version FROM knowledge', "UPDATE knowledge SET body = '{}' WHERE version = @version"),
  },
  {
    name: 'a house rule answers what was not asked',
    found: ['row'],
    plant: sql(
      'SELECT question FROM house_rule',
      "UPDATE house_rule SET answer = 'perhaps' WHERE question = @question",
    ),
  },
  {
    name: 'a thing in stock has a detail that is none',
    found: ['row'],
    plant: sql('SELECT id FROM stock', `UPDATE stock SET detail = '{"leadDays": "soon"}' WHERE id = @id`),
  },
  {
    name: 'a wrench has no scale',
    found: ['row'],
    plant: sql('SELECT id FROM wrench', `UPDATE wrench SET body = json_remove(body, '$.scale') WHERE id = @id`),
  },
  {
    name: 'a line of the audit is taken out',
    found: ['gap'],
    plant: sql('SELECT id FROM audit WHERE id < (SELECT MAX(id) FROM audit)', 'DELETE FROM audit WHERE id = @id'),
  },
  {
    name: 'the last lines of the audit are cut off',
    found: ['cut'],
    plant: sql('SELECT MAX(id) - 1 AS id FROM audit', 'DELETE FROM audit WHERE id > @id'),
  },
  {
    name: 'a movement of stock is taken out',
    found: ['gap', 'balance'],
    plant: sql('SELECT id FROM stock_movement', 'DELETE FROM stock_movement WHERE id = @id'),
  },
  {
    name: 'a setting cannot be read',
    found: ['setting'],
    plant: sql(
      "SELECT key FROM setting WHERE key IN ('rate-per-hour-minor', 'calendar', 'bay-volume-m3')",
      "UPDATE setting SET value = 'x' WHERE key = @key",
    ),
  },
  {
    name: 'a guard of the log is taken away',
    found: ['schema'],
    plant: (place, random) => {
      const db = new Sqlite(place.store);
      const { name } = one(rowsOf(db, "SELECT name FROM sqlite_schema WHERE type = 'trigger'"), random);
      db.exec(`DROP TRIGGER ${String(name)}`);
      db.close();
    },
  },
  {
    name: 'an index is taken away',
    found: ['schema'],
    plant: (place, random) => {
      const db = new Sqlite(place.store);
      const { name } = one(
        rowsOf(db, "SELECT name FROM sqlite_schema WHERE type = 'index' AND sql IS NOT NULL"),
        random,
      );
      db.exec(`DROP INDEX ${String(name)}`);
      db.close();
    },
  },
  {
    name: 'a table is taken away',
    found: ['schema', 'file'],
    plant: (place) => {
      const db = new Sqlite(place.store);
      db.exec('DROP TABLE tool');
      db.close();
    },
  },
  {
    name: 'the head of a page is overwritten',
    found: ['file'],
    plant: (place, random) => overwrite(place.store, 8, random),
  },
  {
    name: 'the end of the file is missing',
    found: ['file'],
    plant: (place, random) => {
      checkpointed(place.store);
      const { size } = statSync(place.store);
      truncateSync(place.store, Math.floor(size * (0.3 + random() * 0.6)));
    },
  },
  {
    name: 'a photo is gone',
    found: ['picture'],
    plant: (place, random) => rmSync(join(place.pictures, one(photosOf(place), random))),
  },
  {
    name: 'a photo is cut short',
    found: ['picture'],
    plant: (place, random) => {
      const path = join(place.pictures, one(photosOf(place), random));
      truncateSync(path, Math.floor(statSync(path).size * random()));
    },
  },
  {
    name: 'a bit of a photo has turned',
    found: ['picture'],
    plant: (place, random) => turnBit(join(place.pictures, one(photosOf(place), random)), random),
  },
  {
    name: 'a bit of the last backup has turned',
    found: ['backup'],
    plant: (place, random) => {
      const name = readdirSync(place.backups).find((each) => each.endsWith('.zip'));
      turnBit(join(place.backups, name ?? ''), random);
    },
  },
];

const photosOf = (place: Place): string[] => readdirSync(place.pictures).filter((name) => /^[0-9a-f]{64}$/.test(name));

function turnBit(path: string, random: Random): void {
  const bytes = readFileSync(path);
  const at = Math.floor(random() * bytes.length);
  bytes[at] = (bytes[at] ?? 0) ^ (1 << Math.floor(random() * 8));
  writeFileSync(path, bytes);
}

function checkpointed(store: string): void {
  const db = new Sqlite(store);
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}

/** Overwrites the head of one page, which says of what kind it is and how many rows it has. */
function overwrite(store: string, bytes: number, random: Random): void {
  checkpointed(store);
  const db = new Sqlite(store, { readonly: true });
  const pageSize = Number(db.pragma('page_size', { simple: true }));
  // Pages that hold rows: free ones and overflows have no such head.
  const pages = rowsOf(db, "SELECT rootpage FROM sqlite_schema WHERE rootpage > 1 AND name NOT LIKE 'sqlite_%'");
  db.close();
  const { rootpage } = one(pages, random);
  const file = openSync(store, 'r+');
  const head = Buffer.alloc(bytes);
  const at = (Number(rootpage) - 1) * pageSize;
  readSync(file, head, 0, bytes, at);
  writeSync(
    file,
    head.map((byte) => byte ^ 0xff),
    0,
    bytes,
    at,
  );
  closeSync(file);
}
