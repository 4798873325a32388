import type { Database } from 'better-sqlite3';
import { type ChapterElsewhere, type LifeFile, SIGNED_FORMAT, type SignedLook } from '../../contract/index.ts';
import { roleWords } from '../../core/access/index.ts';
import { type Chapter, chapterOf } from '../../core/exchange/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { row, speaker } from '../../core/sheet/index.ts';
import { LIFE_KINDS, UNIT_KINDS } from '../../core/vehicle/index.ts';
import type { Audit } from '../store/audit.ts';
import type { Jobs } from '../store/jobs.ts';
import type { People } from '../store/people.ts';
import { prepared } from '../store/prepared.ts';
import type { Settings } from '../store/settings.ts';
import type { Units } from '../store/units.ts';
import type { Vehicles } from '../store/vehicles.ts';
import { digestOf, isSigned, signatureOf } from './signing.ts';
import type { Shops } from './shops.ts';

/** What a life is of, by our own id. */
export interface Subject {
  readonly kind: 'vehicle' | 'unit';
  readonly id: string;
}

interface Sources {
  readonly jobs: Jobs;
  readonly vehicles: Vehicles;
  readonly units: Units;
  readonly people: People;
  readonly settings: Settings;
  readonly shops: Shops;
  readonly audit: Audit;
}

/** Lives of vehicles and units: told to the next shop, and of other shops kept beside our own. */
export class Lives {
  readonly #sql: Database['prepare'];
  readonly #of: Sources;

  constructor(db: Database, sources: Sources) {
    this.#sql = prepared(db);
    this.#of = sources;
  }

  /** The life of a vehicle as we know it, signed; null for a vehicle that there is not. Call inside a transaction. */
  tellVehicle(vehicleId: string, now: string): LifeFile | null {
    const vehicle = this.#of.vehicles.get(vehicleId);
    if (vehicle === null) return null;
    const { plate, vin, make, model, year, engine } = vehicle;
    const rows = this.#sql<[string], { id: string }>(
      'SELECT job_id AS id FROM job_summary WHERE vehicle_id = ? ORDER BY opened_at, number',
    ).all(vehicleId);
    return this.#signed(
      { kind: 'vehicle', plate, vin, make, model, year, engine },
      this.#chapters(rows),
      { kind: 'vehicle', id: vehicleId },
      now,
    );
  }

  /** The life of a unit: what was noted of it, and the jobs that took it off or put it on. */
  tellUnit(unitId: string, now: string): LifeFile | null {
    const file = this.#of.units.file(unitId);
    if (file === null) return null;
    const { unit } = file;
    const rows = this.#sql<[string, string], { id: string }>(
      `SELECT DISTINCT r.job_id AS id, j.opened_at FROM unit_replaced r JOIN job_summary j ON j.job_id = r.job_id
       WHERE r.old_unit = ? OR r.new_unit = ? ORDER BY j.opened_at`,
    ).all(unitId, unitId);
    const say = speaker(new Map(), '', this.#of.settings.timeZone());
    const [first] = file.life;
    const noted: Chapter[] =
      first === undefined
        ? []
        : [
            {
              id: `life-${unitId}`.slice(0, 80),
              title: 'What was noted of it',
              openedAt: first.at,
              closedAt: file.life.at(-1)?.at ?? null,
              reading: '',
              meter: null,
              hours: false,
              sections: [
                {
                  title: 'Life',
                  rows: file.life.map(({ at, kind, place, note }) =>
                    row(say.day(say.isoDay(at)), [LIFE_KINDS[kind], place].filter(Boolean).join(', '), note),
                  ),
                },
              ],
            },
          ];
    const of = {
      kind: 'unit' as const,
      unitId,
      unitKind: UNIT_KINDS[unit.kind],
      partNumber: unit.partNumber,
      mark: unit.features.mark,
    };
    return this.#signed(of, [...noted, ...this.#chapters(rows)], { kind: 'unit', id: unitId }, now);
  }

  /** Which of ours a life may be of. */
  ours(of: LifeFile['body']['of']): NonNullable<SignedLook['life']>['ours'] {
    if (of.kind === 'unit')
      return this.#sql<[string, string], { id: string; name: string; by: 'id' }>(
        `SELECT id, kind || ' ' || part_number AS name, 'id' AS by FROM unit WHERE id = ? OR (part_number <> '' AND part_number = ? AND vehicle_id IS NULL)
         ORDER BY id LIMIT 20`,
      ).all(of.unitId, of.partNumber);
    return this.#sql<[{ vin: string; plate: string }], { id: string; name: string; by: 'vin' | 'plate' }>(
      `SELECT id, plate || ', ' || trim(make || ' ' || model) AS name, CASE WHEN vin = :vin AND vin <> '' THEN 'vin' ELSE 'plate' END AS by
       FROM vehicle WHERE (vin = :vin AND vin <> '') OR (replace(upper(plate), ' ', '') = replace(upper(:plate), ' ', '') AND plate <> '')
       ORDER BY by = 'plate', id LIMIT 20`,
    ).all({ vin: of.vin, plate: of.plate });
  }

  /**
   * Keeps a life that other shops tell, with the files before it, each by whoever signed it. What we ourselves have told
   * is left out. Call inside a transaction.
   * @returns how many chapters are new here
   */
  take(file: LifeFile, onto: Subject, who: Stamp): number {
    const own = this.#of.shops.own(who.at).public;
    const put = this.#sql(
      `INSERT OR IGNORE INTO chapter_elsewhere (shop, chapter, hash, subject, subject_id, opened_at, made_at, body, taken_at, taken_by)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    );
    let taken = 0;
    for (const each of withEarlier(file)) {
      if (each.shop.key === own) continue;
      this.#of.shops.seen(each.shop, who.at);
      for (const told of each.body.chapters)
        taken += put.run(
          each.shop.key,
          told.id,
          digestOf(told),
          onto.kind,
          onto.id,
          told.openedAt,
          each.madeAt,
          JSON.stringify(told),
          who.at,
          who.by,
        ).changes;
    }
    this.#sql('INSERT OR IGNORE INTO life_file (hash, subject, subject_id, body, taken_at) VALUES (?, ?, ?, ?, ?)').run(
      digestOf(file),
      onto.kind,
      onto.id,
      JSON.stringify(file),
      who.at,
    );
    this.#of.audit.write(who, 'life-taken', onto.id, { from: file.shop.name, chapters: taken });
    return taken;
  }

  /** What other shops tell of a vehicle or a unit: the newest telling of each chapter, oldest chapter first. */
  elsewhere({ kind, id }: Subject): ChapterElsewhere[] {
    const shops = new Map(this.#of.shops.all().map((each) => [each.key, each]));
    return this.#sql<[string, string], { shop: string; body: string; taken_at: string; tellings: number }>(
      `SELECT shop, body, taken_at, tellings FROM (
         SELECT *, ROW_NUMBER() OVER told AS newest, COUNT(*) OVER (PARTITION BY shop, chapter) AS tellings FROM chapter_elsewhere
         WHERE subject = ? AND subject_id = ? WINDOW told AS (PARTITION BY shop, chapter ORDER BY made_at DESC, taken_at DESC))
       WHERE newest = 1 ORDER BY opened_at, shop, chapter`,
    )
      .all(kind, id)
      .flatMap(({ shop, body, taken_at, tellings }) => {
        const known = shops.get(shop);
        return known === undefined
          ? []
          : [{ ...(JSON.parse(body) as Chapter), shop: known, takenAt: taken_at, tellings }];
      });
  }

  /** Two vehicles were one: what is told of the first is told of the other. Call inside a transaction. */
  move(from: string, into: string): void {
    for (const table of ['chapter_elsewhere', 'life_file'])
      this.#sql(`UPDATE OR IGNORE ${table} SET subject_id = ? WHERE subject = 'vehicle' AND subject_id = ?`).run(
        into,
        from,
      );
  }

  #chapters(rows: readonly { readonly id: string }[]): Chapter[] {
    const roles = new Map(this.#of.people.all().map(({ id, role }) => [id, roleWords(role)]));
    const zone = this.#of.settings.timeZone();
    return rows.flatMap(({ id }) => {
      const job = this.#of.jobs.job(id);
      return (job === null ? null : chapterOf(job, roles, zone)) ?? [];
    });
  }

  #signed(of: LifeFile['body']['of'], chapters: readonly Chapter[], subject: Subject, now: string): LifeFile {
    const key = this.#of.shops.own(now);
    const earlier = this.#sql<[string, string], { body: string }>(
      'SELECT body FROM life_file WHERE subject = ? AND subject_id = ? ORDER BY taken_at, hash',
    )
      .all(subject.kind, subject.id)
      .map(({ body }) => JSON.parse(body) as LifeFile);
    const content = {
      format: SIGNED_FORMAT,
      version: 1 as const,
      kind: 'life' as const,
      shop: { name: this.#of.settings.shop().shopName, key: key.public },
      madeAt: now,
      body: { of, chapters, earlier },
    } as const;
    return { ...content, signature: signatureOf(content, key.private) };
  }
}

/** A file and all those before it that it carries. */
export const withEarlier = (file: LifeFile): LifeFile[] => [file, ...file.body.earlier.flatMap(withEarlier)];

/** Whose signature in a file does not hold; null when all do. */
export const brokenSignature = (file: LifeFile): string | null =>
  withEarlier(file).find((each) => !isSigned(each))?.shop.name ?? null;
