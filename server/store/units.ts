import type { Database, Statement } from 'better-sqlite3';
import type { LifeInput, UnitFile, UnitInput, UnitSort, VehicleInput } from '../../contract/index.ts';
import {
  type FittedUnit,
  type LifeEntry,
  lifeProblem,
  livedOn,
  UNKNOWN_VARIANT,
  type UnitObject,
  type VariantFeatures,
} from '../../core/vehicle/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { holding, soughtIn } from './matching.ts';
import { type PageAsk, readPage, type ReadPage } from './pages.ts';
import { prepared } from './prepared.ts';
import { type RowOutcome, saysTheSame } from './rows.ts';

interface UnitRow {
  readonly id: string;
  readonly kind: UnitObject['kind'];
  readonly part_number: string;
  readonly features: string;
  readonly vehicle_id: string | null;
  readonly place: string;
  readonly state: UnitObject['state'];
  readonly built: string;
  readonly version: number;
}
interface LifeRow {
  readonly at: string;
  readonly person: string;
  readonly kind: LifeEntry['kind'];
  readonly vehicle_id: string | null;
  readonly place: string;
  readonly price_minor: number | null;
  readonly note: string;
}

/** How adding to a unit's life ended. */
export type LifeOutcome =
  { readonly ok: true; readonly file: UnitFile } | { readonly ok: false; readonly message: string };

/** By what loose units can be put in order, and the columns of each order. */
const ORDERS: Readonly<Record<UnitSort, readonly string[]>> = {
  state: ['state', 'id'],
  number: ['part_number', 'id'],
  place: ['place', 'id'],
};

/** Which loose units are asked for. */
export interface UnitFilter {
  readonly text: string;
  readonly kind: UnitObject['kind'] | undefined;
  readonly state: UnitObject['state'] | undefined;
}

/** Throttle bodies, valves and actuators as objects of their own. */
export class Units {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  readonly #get: Statement<[string], UnitRow>;
  readonly #put: Statement<[string, string, string, string, string | null, string, string, string]>;
  readonly #live: Statement<[string, string, string, string, string | null, string, number | null, string]>;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
    this.#get = db.prepare('SELECT * FROM unit WHERE id = ?');
    this.#put = db.prepare(
      `INSERT INTO unit (id, kind, part_number, features, vehicle_id, place, state, built) VALUES (?, ?, ?, ?, ?, ?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET kind = excluded.kind, part_number = excluded.part_number, features = excluded.features,
         vehicle_id = excluded.vehicle_id, place = excluded.place, state = excluded.state, built = excluded.built, version = unit.version + 1`,
    );
    this.#live = db.prepare(
      'INSERT INTO unit_life (unit_id, at, person, kind, vehicle_id, place, price_minor, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
    );
  }

  get(id: string): UnitObject | null {
    const row = this.#get.get(id);
    return row === undefined ? null : toUnit(row);
  }

  /** A unit with its life, or null. */
  file(id: string): UnitFile | null {
    const unit = this.get(id);
    if (unit === null) return null;
    const life = this.#sql<[string], LifeRow>(
      'SELECT at, person, kind, vehicle_id, place, price_minor, note FROM unit_life WHERE unit_id = ? ORDER BY id',
    )
      .all(id)
      .map(({ at, person, kind, vehicle_id, place, price_minor, note }): LifeEntry => ({
        at,
        by: person,
        kind,
        vehicleId: vehicle_id,
        place,
        priceMinor: price_minor,
        note,
      }));
    const vehicleIds = [unit.vehicleId, ...life.map(({ vehicleId }) => vehicleId)].filter((each) => each !== null);
    const plates = this.#sql<[string], { id: string; plate: string }>(
      'SELECT id, plate FROM vehicle WHERE id IN (SELECT value FROM json_each(?))',
    ).all(JSON.stringify(vehicleIds));
    return {
      unit,
      version: this.version(id),
      life,
      plates: Object.fromEntries(plates.map((vehicle) => [vehicle.id, vehicle.plate])),
    };
  }

  /** Units by the vehicle they sit on, bodies before valves. */
  on(vehicleIds: readonly string[]): ReadonlyMap<string, readonly FittedUnit[]> {
    const rows = this.#sql<[string], UnitRow>(
      'SELECT * FROM unit WHERE vehicle_id IN (SELECT value FROM json_each(?)) ORDER BY kind DESC, id',
    ).all(JSON.stringify(vehicleIds));
    const byVehicle = new Map<string, FittedUnit[]>();
    for (const { id, kind, place, part_number, features: text, vehicle_id } of rows) {
      const features = JSON.parse(text) as VariantFeatures;
      const known = byVehicle.get(vehicle_id ?? '') ?? [];
      known.push({ id, kind, place, partNumber: part_number, features, variant: features.mark });
      byVehicle.set(vehicle_id ?? '', known);
    }
    return byVehicle;
  }

  /** A page of the units that sit on no vehicle, those scrapped or sold among them. */
  loose(filter: UnitFilter, sort: UnitSort, ask: PageAsk): ReadPage<UnitObject> {
    const sought = filter.text === '' ? null : soughtIn(filter.text);
    const words =
      "' ' || lower(id || ' ' || part_number || ' ' || place || ' ' || state || ' ' || kind || ' ' || id_key || ' ' || number_key) || ' '";
    const { rows, next } = readPage<UnitRow>(
      this.#sql,
      {
        select: 'SELECT * FROM unit',
        where: [
          { sql: 'vehicle_id IS NULL', values: [] },
          ...(filter.kind === undefined ? [] : [{ sql: 'kind = ?', values: [filter.kind] }]),
          ...(filter.state === undefined ? [] : [{ sql: 'state = ?', values: [filter.state] }]),
          ...(sought === null ? [] : [holding(sought, words)]),
        ],
        order: ORDERS[sort],
      },
      ask,
    );
    return { rows: rows.map(toUnit), next };
  }

  /** How many values a key of that order has. */
  keyLength(sort: UnitSort): number {
    return ORDERS[sort].length;
  }

  /** The version of a unit's row; 0 when there is none. */
  version(id: string): number {
    return this.#get.get(id)?.version ?? 0;
  }

  /** Notes or corrects what a unit is, as a person typed it. @param basedOn the version that was looked at, 0 for a new one */
  put(id: string, input: UnitInput, basedOn: number, who: Stamp): RowOutcome<UnitObject> {
    const known = this.get(id);
    const version = this.version(id);
    if (known !== null && saysTheSame(typed(known), typed(input)))
      return { ok: true, row: known, version, created: false };
    if (known !== null && version !== basedOn) return { ok: false, newer: { version, row: known } };
    return { ok: true, row: this.describe(id, input, who), version: version + 1, created: known === null };
  }

  /** Notes what a unit is, whatever was known of it; a new one begins on the shelf, unbought. */
  describe(id: string, input: UnitInput, who: Stamp): UnitObject {
    const known = this.get(id);
    this.#write({
      id,
      ...typed(input),
      vehicleId: known?.vehicleId ?? null,
      place: known?.place ?? '',
      state: known?.state ?? 'on the shelf',
    });
    this.#audit.write(who, known === null ? 'unit-created' : 'unit-described', id, typed(input));
    return this.get(id) ?? fail(id);
  }

  /** Adds to a unit's life and moves it accordingly. */
  live(id: string, entry: LifeInput, who: Stamp): LifeOutcome {
    const unit = this.get(id);
    if (unit === null) return { ok: false, message: 'There is no such unit.' };
    const problem = lifeProblem(unit, entry);
    if (problem !== null) return { ok: false, message: problem };
    this.#write(livedOn(unit, entry));
    this.#lived(id, entry, who);
    return { ok: true, file: this.file(id) ?? fail(id) };
  }

  /** The vehicle on which any of these sits, if it is another one. */
  elsewhere(vehicleId: string, units: VehicleInput['units']): UnitObject | null {
    for (const { id } of units) {
      const known = this.get(id);
      if (known !== null && known.vehicleId !== null && known.vehicleId !== vehicleId) return known;
    }
    return null;
  }

  /** Makes these the units of a vehicle: new ones are fitted, missing ones taken off. Call inside a transaction. */
  fitAll(vehicleId: string, units: VehicleInput['units'], who: Stamp): void {
    const before = this.#sql<[string], UnitRow>('SELECT * FROM unit WHERE vehicle_id = ?').all(vehicleId).map(toUnit);
    for (const { id, kind, place, partNumber, variant, features } of units) {
      // A vehicle that comes with a job file does not take a unit from where it sits here.
      const sits = this.get(id)?.vehicleId ?? null;
      if (sits !== null && sits !== vehicleId) continue;
      const known = before.find((unit) => unit.id === id);
      const own: VariantFeatures = { ...(features ?? known?.features ?? UNKNOWN_VARIANT), mark: variant };
      this.#write({
        id,
        kind,
        partNumber,
        features: own,
        vehicleId,
        place,
        state: 'fitted',
        built: this.get(id)?.built,
      });
      if (known === undefined) this.#lived(id, { kind: 'fitted', vehicleId, place, priceMinor: null, note: '' }, who);
    }
    for (const unit of before.filter(({ id }) => !units.some((kept) => kept.id === id))) {
      this.#write(livedOn(unit, { kind: 'taken-off', vehicleId: null, place: '' }));
      this.#lived(unit.id, { kind: 'taken-off', vehicleId, place: '', priceMinor: null, note: '' }, who);
    }
  }

  #lived(id: string, entry: LifeInput, who: Stamp): void {
    const { kind, vehicleId, place, priceMinor, note } = entry;
    this.#live.run(id, who.at, who.by, kind, vehicleId, place, priceMinor, note);
    this.#audit.write(who, 'unit-lived', id, entry);
  }

  #write({ id, kind, partNumber, features, vehicleId, place, state, built = '' }: UnitObject): void {
    this.#put.run(id, kind, partNumber, JSON.stringify(features), vehicleId, place, state, built);
  }
}

const fail = (id: string): never => {
  throw new Error(`Unit ${id} was written but cannot be read.`);
};

const typed = ({ kind, partNumber, features, built = '' }: UnitInput): UnitInput => ({
  kind,
  partNumber,
  features,
  ...(built === '' ? {} : { built }),
});

const toUnit = ({ id, kind, part_number, features, vehicle_id, place, state, built }: UnitRow): UnitObject => ({
  id,
  kind,
  partNumber: part_number,
  features: JSON.parse(features) as VariantFeatures,
  vehicleId: vehicle_id,
  place,
  state,
  ...(built === '' ? {} : { built }),
});
