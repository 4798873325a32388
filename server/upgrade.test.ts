import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PROJECTIONS } from './store/projections/index.ts';
import { createServices } from './services.ts';
import { migrate } from './store/migrate.ts';
import { openStore } from './store/open.ts';
import { NOW } from './testing/harness.ts';

const folder = mkdtempSync(join(tmpdir(), 'uw-upgrade-'));
const file = join(folder, 'shop.sqlite');
const event = (seq: number, type: string, data: object) => ({
  seq,
  type,
  data: JSON.stringify(data),
  command: `c${seq}`,
});

/** As procedures were before they said who looks alike, what stays in and what is undone at the end. */
const OLD_PROCEDURE = {
  id: 'old',
  version: 2,
  name: 'Old',
  family: 'fours',
  source: null,
  items: [
    {
      id: 'duct',
      name: 'Duct',
      kind: 'duct',
      tool: '',
      note: '',
      opens: [],
      fasteners: null,
      singleUse: false,
      partNumber: '',
      unit: null,
      cautions: [],
    },
  ],
  openings: [],
  constraints: [],
  needs: [],
  coolant: null,
  relearn: [],
};

/** A store as the first version of the program left it: one vehicle with its unit inside, one job. */
beforeAll(() => {
  const first = join(folder, 'first');
  cpSync(new URL('./store/migrations/001-first.sql', import.meta.url), join(first, '001-first.sql'));
  const db = new Sqlite(file);
  migrate(db, first);
  const vehicle = {
    id: 'bus',
    plate: 'TQ 417',
    vin: '',
    make: 'Norrland',
    model: 'Parcel',
    nickname: '',
    year: 1998,
    engine: '2.5 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    owner: '',
    meterUnit: 'km',
    lastReading: null,
    figures: { idleRpm: null, valveDuty: null, closedVolts: null },
    units: [{ id: 'bus-tb', kind: 'throttle-body', place: 'only', partNumber: 'NP-25-1100', variant: 'C' }],
    notes: '',
  };
  db.prepare(
    "INSERT INTO vehicle VALUES ('bus', 'TQ 417', '', 'Norrland', 'Parcel', '', 1998, '2.5 L four', 'cable', 'rotary', '', 'km', ?, ?, '', 'tq 417')",
  ).run(JSON.stringify(vehicle.figures), JSON.stringify(vehicle.units));
  const log = [
    event(1, 'job-opened', {
      number: 1,
      vehicle,
      reading: { value: 10, unit: 'km' },
      readingReason: '',
      complaint: 'hunts',
    }),
    event(2, 'symptom-noted', { id: 's', text: 'hunting idle' }),
    event(3, 'check-done', { id: 'k', name: 'PCV', result: 'rattles', verdict: 'normal' }),
    event(4, 'decision-made', { choice: 'clean-bench', reason: 'ring' }),
    event(5, 'procedure-pinned', { procedure: OLD_PROCEDURE }),
    event(6, 'item-removed', { itemId: 'duct', pocket: 'A1', label: '', countedOut: null }),
  ];
  db.prepare("INSERT INTO procedure VALUES ('old', 2, 'Old', 'fours', ?)").run(JSON.stringify(OLD_PROCEDURE));
  for (const { seq, type, data, command } of log) {
    db.prepare("INSERT INTO command VALUES (?, 'j', ?, ?, ?)").run(command, seq, seq, NOW);
    db.prepare("INSERT INTO event VALUES ('j', ?, ?, ?, 'tomas', ?, 1, ?, 'x')").run(seq, command, NOW, type, data);
  }
  db.close();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('a store of the first version', () => {
  it('is brought up to date: units live on their own, projections are made from the logs', () => {
    const db = openStore(file);
    const { vehicles, units, jobs, knowledge } = createServices(db, join(folder, 'pictures'), () => NOW, 'UTC');
    expect(vehicles.get('bus')?.units).toEqual([
      {
        id: 'bus-tb',
        kind: 'throttle-body',
        place: 'only',
        partNumber: 'NP-25-1100',
        variant: 'C',
        features: { portMm: null, gasket: '', pins: null, drive: '', mark: 'C' },
      },
    ]);
    expect(units.get('bus-tb')).toMatchObject({ state: 'fitted', vehicleId: 'bus' });
    expect(jobs.job('j')).toMatchObject({
      knowledge: 1,
      told: [],
      checks: [{ name: 'PCV', check: null, when: 'before' }],
    });
    expect(knowledge.newest().version).toBe(1);
    const rows = (table: string) => db.prepare(`SELECT * FROM ${table} WHERE job_id = 'j'`).all();
    expect(rows('check_result')).toMatchObject([{ name: 'PCV', kind: null, verdict: 'normal' }]);
    expect(rows('job_decision')).toMatchObject([{ choice: 'clean-bench', knowledge: 1 }]);
    expect(db.prepare("SELECT * FROM setting WHERE key = 'projections'").all()).toEqual([]);
    db.close();
  });
  it('keeps its procedures as versions, and its jobs go on by what they were pinned to', () => {
    const db = openStore(file);
    const { procedures, jobs } = createServices(db, join(folder, 'pictures'), () => NOW, 'UTC');
    expect(procedures.versions('old')).toEqual([{ version: 2, at: '', by: 'shop', note: '' }]);
    expect(procedures.get('old')).toEqual(OLD_PROCEDURE);
    expect(jobs.job('j')?.items).toMatchObject([
      { id: 'duct', state: 'off', stayingIn: 0, kept: [], threads: [], flag: null, seconds: { off: 0, back: 0 } },
    ]);
    expect(jobs.job('j')).toMatchObject({ tray: { rows: 4, columns: 6 }, searches: [], hands: [] });
    expect(db.prepare("SELECT state FROM strip_item WHERE job_id = 'j'").all()).toEqual([{ state: 'off' }]);
    expect(
      procedures.save({ ...OLD_PROCEDURE, items: [] } as never, 2, 'emptied', { by: 'isla', at: NOW }),
    ).toMatchObject({
      ok: true,
      procedure: { version: 3 },
    });
    db.close();
  });
  it('is not worked through again the next time', () => {
    const db = openStore(file);
    const { jobs } = createServices(db, join(folder, 'pictures'), () => NOW, 'UTC');
    expect(jobs.remakeProjections()).toBe(0);
    db.close();
  });
  it('has a table for every projection, and the migration names them all', () => {
    const folder = new URL('./store/migrations/', import.meta.url);
    const sql = readdirSync(folder)
      .map((name) => readFileSync(new URL(name, folder), 'utf8'))
      .join('\n');
    for (const { table } of PROJECTIONS) expect(sql).toContain(`CREATE TABLE ${table} (`);
  });
});
