import type { Database, Statement } from 'better-sqlite3';
import type { VehicleInput, VehicleSort } from '../../contract/index.ts';
import type { FittedUnit, MeterUnit, Vehicle, VehicleUse } from '../../core/vehicle/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { plainNumber } from '../../core/stock/index.ts';
import { searchText } from '../../core/words/index.ts';
import type { Audit } from './audit.ts';
import { holding, soughtIn } from './matching.ts';
import { type PageAsk, readPage, type ReadPage } from './pages.ts';
import { prepared } from './prepared.ts';
import { type RowOutcome, saysTheSame } from './rows.ts';
import type { Search } from './search.ts';
import type { Units } from './units.ts';

interface VehicleRow {
  readonly id: string;
  readonly plate: string;
  readonly vin: string;
  readonly make: string;
  readonly model: string;
  readonly nickname: string;
  readonly year: number | null;
  readonly engine: string;
  readonly throttle: string;
  readonly idle_valve: string;
  readonly owner: string;
  readonly meter_unit: string;
  readonly figures: string;
  readonly family_id: string | null;
  readonly notes: string;
  readonly known_since: string | null;
  readonly use: string | null;
  readonly computer: string | null;
  readonly self_starting: 0 | 1 | null;
  readonly coolant: string | null;
  readonly last_value: number | null;
  readonly last_unit: string | null;
  readonly version: number;
}

/** The last reading is whatever the latest job on the vehicle holds, so that it cannot drift from the log. */
const SELECT = `SELECT v.*, r.value AS last_value, r.unit AS last_unit FROM vehicle v
  LEFT JOIN vehicle_reading r ON r.job_id = (SELECT job_id FROM vehicle_reading WHERE vehicle_id = v.id ORDER BY at DESC, value DESC LIMIT 1)`;

/** By what vehicles can be put in order, and the columns of each order. */
const ORDERS: Readonly<Record<VehicleSort, readonly string[]>> = {
  plate: ['v.plate', 'v.id'],
  make: ['v.make', 'v.model', 'v.id'],
  owner: ['v.owner', 'v.id'],
};

/** The list of vehicles. */
export class Vehicles {
  readonly #sql: Database['prepare'];
  readonly #get: Statement<[string], VehicleRow>;
  readonly #put: Statement<unknown[]>;
  readonly #audit: Audit;
  readonly #units: Units;

  readonly #search: Search;

  constructor(db: Database, units: Units, audit: Audit, search: Search) {
    this.#search = search;
    this.#audit = audit;
    this.#sql = prepared(db);
    this.#units = units;
    this.#get = db.prepare(`${SELECT} WHERE v.id = ?`);
    this.#put =
      db.prepare(`INSERT INTO vehicle (id, plate, vin, make, model, nickname, year, engine, throttle, idle_valve, owner, meter_unit, figures, family_id, notes, known_since, use, computer, self_starting, coolant, search)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
      ON CONFLICT (id) DO UPDATE SET plate = excluded.plate, vin = excluded.vin, make = excluded.make, model = excluded.model, nickname = excluded.nickname,
        year = excluded.year, engine = excluded.engine, throttle = excluded.throttle, idle_valve = excluded.idle_valve, owner = excluded.owner,
        meter_unit = excluded.meter_unit, figures = excluded.figures, family_id = excluded.family_id, notes = excluded.notes, known_since = excluded.known_since, use = excluded.use, computer = excluded.computer, self_starting = excluded.self_starting, coolant = excluded.coolant, search = excluded.search,
        version = vehicle.version + 1`);
  }

  /** Works out the words of rows that an earlier version wrote. Call inside a transaction. */
  wordRows(): void {
    if (this.#sql("SELECT 1 FROM setting WHERE key = 'vehicle-words'").get() === undefined) return;
    const put = this.#sql<[string, string]>('UPDATE vehicle SET search = ? WHERE id = ?');
    for (const row of this.#sql<[], VehicleRow>(SELECT).all()) put.run(wordsOf(toVehicle(row, [])), row.id);
    this.#sql("DELETE FROM setting WHERE key = 'vehicle-words'").run();
  }

  get(id: string): Vehicle | null {
    const row = this.#get.get(id);
    return row === undefined ? null : (this.#whole([row])[0] ?? null);
  }

  /** The version of a vehicle's row; 0 when there is none. */
  version(id: string): number {
    return this.#get.get(id)?.version ?? 0;
  }

  /**
   * Creates or changes a vehicle, with its audit row.
   * @param basedOn the version that was looked at, 0 for a new one
   * @param today ISO day: a vehicle that is new here is known since then, unless another day is given
   */
  put(id: string, given: VehicleInput, basedOn: number, who: Stamp, today: string): RowOutcome<Vehicle> {
    const known = this.get(id);
    const knownSince = given.knownSince ?? (known === null ? today : (known.knownSince ?? null));
    const input = { ...given, knownSince };
    const version = this.version(id);
    if (known !== null && saysTheSame(typed(known), typed({ ...input, id, lastReading: null })))
      return { ok: true, row: known, version, created: false };
    if (known !== null && version !== basedOn) return { ok: false, newer: { version, row: known } };
    this.#write(id, input);
    this.#units.fitAll(id, input.units, who);
    this.#audit.write(who, known === null ? 'vehicle-created' : 'vehicle-changed', id, input);
    return { ok: true, row: this.get(id) ?? fail(id), version: version + 1, created: known === null };
  }

  #write(id: string, input: VehicleInput): void {
    const { plate, vin, make, model, nickname, year, engine, throttle, idleValve, owner, meterUnit } = input;
    const search = wordsOf(input);
    this.#put.run(
      id,
      plate,
      vin,
      make,
      model,
      nickname,
      year,
      engine,
      throttle,
      idleValve,
      owner,
      meterUnit,
      JSON.stringify(input.figures),
      input.familyId ?? null,
      input.notes,
      input.knownSince ?? null,
      input.use ?? null,
      input.computer ?? null,
      input.selfStarting === undefined ? null : Number(input.selfStarting),
      input.coolant === undefined ? null : JSON.stringify(input.coolant),
      search,
    );
  }

  /** Takes a vehicle out of the list; the units on it lie loose. Call only when no job is on it. */
  remove(id: string, who: Stamp): void {
    const known = this.get(id);
    if (known === null) return;
    this.#units.fitAll(id, [], who);
    this.#sql<[string]>('DELETE FROM vehicle WHERE id = ?').run(id);
    this.#audit.write(who, 'vehicle-removed', id, { plate: known.plate });
  }

  /** A page of the vehicles whose own words hold every typed one. */
  page(text: string, sort: VehicleSort, ask: PageAsk): ReadPage<Vehicle> {
    const sought = text === '' ? null : soughtIn(text);
    // Few are looked up by the full-text index; of many each next one is soon met in the order that is asked for.
    const few = sought === null ? null : this.#search.few('vehicle', sought);
    const { rows, next } = readPage<VehicleRow>(
      this.#sql,
      {
        select: SELECT,
        where: [
          ...(few === null ? [] : [{ sql: 'v.id IN (SELECT value FROM json_each(?))', values: [JSON.stringify(few)] }]),
          ...(sought === null ? [] : [holding(sought, 'v.search')]),
        ],
        order: ORDERS[sort],
      },
      ask,
    );
    return { rows: this.#whole(rows), next };
  }

  /** How many values a key of that order has. */
  keyLength(sort: VehicleSort): number {
    return ORDERS[sort].length;
  }

  /** Another vehicle with the same plate, or null. */
  withPlate(plate: string, otherThan: string): Vehicle | null {
    const row = this.#sql<[string, string], VehicleRow>(`${SELECT} WHERE v.plate_key = ? AND v.id <> ?`).get(
      plainNumber(plate),
      otherThan,
    );
    return row === undefined ? null : (this.#whole([row])[0] ?? null);
  }

  /** Rows with the units that sit on them, fetched together. */
  #whole(rows: readonly VehicleRow[]): Vehicle[] {
    const fitted = this.#units.on(rows.map(({ id }) => id));
    return rows.map((row) => toVehicle(row, fitted.get(row.id) ?? []));
  }
}

/** What a vehicle is found by; of its VIN also the last eight to four signs, which are what people read out. */
const wordsOf = ({
  plate,
  vin,
  make,
  model,
  nickname,
  owner,
  engine,
  notes,
}: Omit<VehicleInput, 'figures' | 'units'>): string =>
  searchText(
    [make, model, nickname, owner, engine, notes],
    [plate, vin, ...[8, 7, 6, 5, 4].map((last) => vin.slice(-last))],
  );

/** What a person types about a vehicle, whichever way units and a missing family are written. */
const typed = ({
  lastReading: _,
  units,
  familyId,
  knownSince,
  use,
  computer,
  selfStarting,
  coolant,
  ...rest
}: Vehicle) => ({
  ...rest,
  computer: computer ?? null,
  selfStarting: selfStarting ?? null,
  coolant: coolant ?? null,
  use: use ?? null,
  knownSince: knownSince ?? null,
  familyId: familyId ?? null,
  units: units
    .map(({ id, kind, place, partNumber, variant }) => ({ id, kind, place, partNumber, variant }))
    .sort((a, b) => (a.id < b.id ? -1 : 1)),
});

const fail = (id: string): never => {
  throw new Error(`Vehicle ${id} was written but cannot be read.`);
};

// Written only through the contract, so the enumerations and JSON are known to be good.
function toVehicle(row: VehicleRow, units: readonly FittedUnit[]): Vehicle {
  const { idle_valve, meter_unit, figures, last_value, last_unit, throttle } = row;
  return {
    id: row.id,
    plate: row.plate,
    vin: row.vin,
    make: row.make,
    model: row.model,
    nickname: row.nickname,
    year: row.year,
    engine: row.engine,
    throttle: throttle as Vehicle['throttle'],
    idleValve: idle_valve as Vehicle['idleValve'],
    owner: row.owner,
    meterUnit: meter_unit as MeterUnit,
    lastReading: last_value === null ? null : { value: last_value, unit: last_unit as MeterUnit },
    figures: JSON.parse(figures) as Vehicle['figures'],
    units,
    notes: row.notes,
    familyId: row.family_id,
    knownSince: row.known_since,
    ...(row.use === null ? {} : { use: row.use as VehicleUse }),
    ...(row.computer === null ? {} : { computer: row.computer }),
    ...(row.self_starting === null ? {} : { selfStarting: row.self_starting === 1 }),
    ...(row.coolant === null ? {} : { coolant: JSON.parse(row.coolant) as NonNullable<Vehicle['coolant']> }),
  };
}
