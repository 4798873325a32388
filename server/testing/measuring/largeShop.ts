import { copyFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { cableProcedure } from '../../../demo/procedures/cable.ts';
import { vehicles } from '../../../demo/vehicles.ts';
import type { StockKind, VehicleInput } from '../../../contract/index.ts';
import { createServices, type Services } from '../../services.ts';
import { openStore } from '../../store/open.ts';
import { atOnce } from '../../store/log.ts';
import { PROJECTIONS } from '../../store/projections/index.ts';
import { command, fresh } from './store.ts';

/** Vehicles, each with one job and its log. */
export const REAL = 3000;
/** Of these, jobs that are open. */
export const OPEN = 130;
/** How many times the vehicles and jobs of the large store are those of the small one. */
const TIMES = 100;
const THINGS = 2000;
const DAY_MS = 86_400_000;

/** People who hand over without a name beside theirs. */
const PEOPLE = ['tomas', 'isla'];
const OWNERS = [
  'Harbour office',
  'Island library',
  'Ferry line',
  'Quay bakery',
  'Marsh farm',
  'Lamp works',
  'Reed school',
];
const NAMES = ['Norrland Parcel', 'Calder Wick', 'Sund Mole', 'Aster Fen', 'Bracken Hob', 'Torv Lind'];
const SEEN = [
  'ring of coke',
  'oil mist in the duct',
  'gasket swollen',
  'screw rusty',
  'hose hard',
  'plate sticks',
  'pins green',
];
const PLACES = [
  'behind the plate',
  'at the flange',
  'below the valve',
  'by the bulkhead',
  'on the lower port',
  'under the cover',
];
const CODES = ['P0505', 'P0506', 'P0507', 'P0121', 'P0122', 'P0171', 'P2101', 'P2119'];
const KINDS: readonly StockKind[] = ['gasket', 'seal', 'part', 'screw', 'cleaner', 'coolant'];
const FEATURES = { portMm: 52, gasket: 'square, four holes', pins: 3, drive: 'cable', mark: 'C' };
const of = <T>(list: readonly T[], index: number): T => list[index % list.length] as T;

/** The plate, VIN and part number that a vehicle or a thing of that index has. */
export const plateOf = (index: number): string =>
  `${String.fromCharCode(65 + (index % 26))}${String.fromCharCode(65 + (Math.floor(index / 26) % 26))} ${1000 + index}`;
const vinOf = (index: number): string => `XNP25KA40WT${String(100_000 + index)}`;
const numberOf = (index: number): string => `NP-${10 + (index % 80)}-${1000 + index}`;

/**
 * A shop of 3,000 vehicles with a job and its log each, 130 of them open, and 2,000 things in stock with their history; and
 * a copy of it in which each closed job and each vehicle is there so many times, as lists and search know them.
 * @param times a hundred where left out @param withLog the log of each copy is there too
 * @returns the files
 */
export function largeShop(
  folder: string,
  times = TIMES,
  withLog = false,
): { readonly small: string; readonly large: string } {
  const small = shopOf(folder, 'lists-small.sqlite', REAL);
  // The shop said where it is after the first start: its columns are made anew once, before they are copied.
  reopened(small);
  const large = join(folder, 'lists-large.sqlite');
  copyFileSync(small, large);
  const copy = new Sqlite(large);
  copy.pragma('synchronous = OFF');
  // Of a copy nothing is lost, and a log beside it would be as large as it is.
  copy.pragma('journal_mode = DELETE');
  copy.pragma('journal_mode = OFF');
  copy.pragma('cache_size = -400000');
  copy.transaction(() => multiply(copy, times, withLog))();
  copy.close();
  return { small, large };
}

function reopened(file: string): void {
  const db = openStore(file);
  createServices(db, `${file}-pictures`, () => new Date().toISOString(), 'UTC');
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}

/** A shop of so many vehicles with a job and its log each, and things in stock with their history. @returns the file */
export function shopOf(folder: string, name: string, jobs: number): string {
  const { services, db } = fresh(folder, name);
  // Work that nobody would lose: written as fast as the disk takes it.
  db.pragma('synchronous = OFF');
  const now = Date.now();
  const at = (daysAgo: number, minutes = 0): string =>
    new Date(now - daysAgo * DAY_MS + minutes * 60_000).toISOString();
  services.oneGo.run(() => stockThings(services, at));
  for (let index = 0; index < jobs; index += 1) job(services, index, jobs, at);
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  return join(folder, name);
}

/** Things of the stock, each counted, received and used over two years. */
function stockThings({ stock }: Services, at: (daysAgo: number) => string): void {
  for (let index = 0; index < THINGS; index += 1) {
    const id = `thing-${index}`;
    const who = (daysAgo: number) => ({ by: of(PEOPLE, index), at: at(daysAgo) });
    stock.put(
      id,
      {
        name: `${of(['Gasket', 'O-ring', 'Valve', 'Screw', 'Cleaner', 'Coolant'], index)} ${index}`,
        partNumber: numberOf(index),
        kind: of(KINDS, index),
        place: `drawer ${String.fromCharCode(65 + (index % 20))}${index % 9}`,
        priceMinor: 100 + index,
        detail: { leadDays: 3 + (index % 5) },
      },
      0,
      who(800),
    );
    for (let nth = 0; nth < 10; nth += 1)
      stock.move(
        id,
        {
          id: `${id}-${nth}`,
          kind: nth === 0 ? 'counted' : nth % 3 === 0 ? 'received' : 'used',
          figure: nth === 0 ? 40 : 2,
          batch: nth % 3 === 0 ? `B${nth}` : '',
          bestBefore: null,
          note: '',
        },
        who(700 - nth * 60),
      );
  }
}

/** A vehicle and its job, as a technician would enter it; the last ones are still open. */
function job(services: Services, index: number, jobs: number, at: (daysAgo: number, minutes?: number) => string): void {
  const jobId = `real-${index}`;
  const vehicleId = `vehicle-${index}`;
  const by = of(PEOPLE, index);
  const open = index >= jobs - OPEN;
  const daysAgo = open ? 0.4 : 30 + ((jobs - index) % 900);
  const [make = '', model = ''] = of(NAMES, index).split(' ');
  const vehicle: VehicleInput = {
    ...vehicles.bus!,
    familyId: null,
    plate: plateOf(index),
    vin: vinOf(index),
    make,
    model,
    nickname: '',
    owner: `${of(OWNERS, index)} ${index % 211}`,
    notes: '',
    units: [
      {
        id: `unit-${index}`,
        kind: 'throttle-body',
        place: 'only',
        partNumber: numberOf(index),
        variant: '',
        features: FEATURES,
      },
    ],
  };
  const since = at(daysAgo);
  services.oneGo.run(() => services.vehicles.put(vehicleId, vehicle, 0, { by, at: since }, since.slice(0, 10)));
  let count = 0;
  const say = (type: string, data: object): void => {
    count += 1;
    const sent = { ...(command(`${jobId}-${count}`, type, data) as object), at: at(daysAgo, count), by } as never;
    // One request, one transaction: within one a job would be read from its log again and again.
    const outcome = services.oneGo.run(() => services.jobs.take(jobId, sent, atOnce(at(daysAgo, count))));
    if (outcome.kind === 'refused') throw new Error(`measuring: ${type}: ${outcome.refusal.message}`);
  };
  const found = `${of(SEEN, index)} ${of(PLACES, Math.floor(index / 7))}`;
  say('open-job', {
    vehicleId,
    reading: { value: 40_000 + index * 31, unit: 'km' },
    readingReason: '',
    complaint: `Stalls at lights, ${found}.`,
  });
  say('tell-complaint', { id: 't', text: `Hunts when cold, ${of(SEEN, index + 3)}.` });
  say('read-code', { id: 'k', code: of(CODES, index), status: 'stored', when: 'before', note: '' });
  say('pin-procedure', { procedureId: cableProcedure.id });
  say('make-note', { id: 'n', stage: 'inspect', text: `Seen: ${found}, bracket ${index}.` });
  say('use-part', { id: 'p', name: 'Gasket', partNumber: numberOf(index % THINGS), quantity: 1, priceMinor: 640 });
  say('weigh-can', {
    id: 'w',
    substance: 'throttle-cleaner',
    surface: 'bore',
    beforeText: '400 g',
    afterText: '388 g',
  });
  say('decide', { choice: 'clean-bench', reason: found, departure: '', options: [] });
  if (open) {
    say('start-timer', { id: 's', label: 'Valve soaks', minutes: 45, kind: 'soak' });
    say('tick-need', { needId: cableProcedure.needs[0]?.id, state: 'ordered', expected: at(-3).slice(0, 10) });
  } else say('hand-over', { watch: found, nextDue: null, labourMinutes: 95, ratePerHourMinor: 6000, currency: 'cr' });
}

/** Vehicles and closed jobs over again, with ids, plates and numbers of their own, in every table that lists read. */
function multiply(db: Database, times: number, withLog: boolean): void {
  const columnsOf = (table: string): string[] =>
    (db.pragma(`table_xinfo(${table})`) as { name: string; hidden: number }[])
      .filter(({ hidden }) => hidden === 0)
      .map(({ name }) => name);
  db.exec(`CREATE TEMP TABLE nth (n INTEGER PRIMARY KEY);
    WITH RECURSIVE count(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM count WHERE n < ${times - 1}) INSERT INTO nth SELECT n FROM count;
    CREATE TEMP TABLE again AS SELECT job_id FROM job_summary WHERE status = 'closed'`);
  const changed: Readonly<Record<string, string>> = {
    job_id: "t.job_id || '-' || n",
    vehicle_id: "t.vehicle_id || '-' || n",
    plate: "t.plate || '-' || n",
    number: `t.number + n * ${2 * REAL}`,
  };
  const insert = (table: string, own: Readonly<Record<string, string>>, where: string): void => {
    const columns = columnsOf(table).filter((name) => own[name] !== '');
    db.exec(`INSERT INTO ${table} (${columns.join(', ')})
      SELECT ${columns.map((name) => own[name] ?? `t.${name}`).join(', ')} FROM nth, ${table} t ${where}`);
  };
  insert(
    'vehicle',
    { id: "t.id || '-' || n", plate: changed.plate!, vin: 't.vin || n', search: "t.search || ' ' || n" },
    "WHERE t.id LIKE 'vehicle-%'",
  );
  insert('unit', { id: "t.id || '-' || n", vehicle_id: changed.vehicle_id! }, "WHERE t.id LIKE 'unit-%'");
  for (const { table } of PROJECTIONS)
    insert(
      table,
      { ...changed, ...(table === 'job_words' ? { id: '' } : {}) },
      'WHERE t.job_id IN (SELECT job_id FROM again)',
    );
  // Made of the rows before, outside of the projections.
  for (const table of ['work_stretch', 'hands_on', 'stage_took'])
    insert(table, { job_id: changed.job_id! }, 'WHERE t.job_id IN (SELECT job_id FROM again)');
  if (!withLog) return;
  const log = { job_id: changed.job_id!, id: "t.id || '-' || n", command_id: "t.command_id || '-' || n" };
  for (const table of ['command', 'event']) insert(table, log, 'WHERE t.job_id IN (SELECT job_id FROM again)');
}
