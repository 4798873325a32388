import type { Database } from 'better-sqlite3';
import type { AirReply, StockDetail } from '../../contract/index.ts';
import type { AiringState } from '../../core/clean/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';
import type { Settings } from './settings.ts';

/** Air is followed for so long after the last spray. */
const AIR_HOURS = 24;

type ReleaseRow = Omit<AirReply['releases'][number], 'safety'> & { readonly detail: string | null };

/** The air of the bay. */
export class Air {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  readonly #settings: Settings;

  constructor(db: Database, audit: Audit, settings: Settings) {
    this.#audit = audit;
    this.#settings = settings;
    this.#sql = prepared(db);
  }

  /** What was sprayed in the last day over all jobs, and how the bay was aired. @param now ISO time */
  at(now: string): AirReply {
    const from = new Date(Date.parse(now) - AIR_HOURS * 3_600_000).toISOString();
    const releases = this.#sql<[string], ReleaseRow>(
      `SELECT c.job_id AS jobId, j.number, j.plate, c.substance, c.grams, c.minutes, c.at, s.detail FROM can_use c
         JOIN job_summary j ON j.job_id = c.job_id LEFT JOIN stock s ON s.id = c.stock_id WHERE c.at >= ? ORDER BY c.at, c.id`,
    )
      .all(from)
      .map(({ detail, ...release }) => ({
        ...release,
        safety: detail === null ? null : ((JSON.parse(detail) as StockDetail).safety ?? null),
      }));
    // The state that held when the day began counts from there.
    const before = this.#sql<[string], AirReply['airings'][number]>(
      'SELECT at, person AS "by", state FROM airing WHERE at < ? ORDER BY id DESC LIMIT 1',
    ).all(from);
    const since = this.#sql<[string], AirReply['airings'][number]>(
      'SELECT at, person AS "by", state FROM airing WHERE at >= ? ORDER BY id',
    ).all(from);
    const airings = [...before, ...since];
    return {
      now,
      roomM3: this.#settings.read('bay-volume-m3'),
      rates: this.#settings.read('air-rates'),
      state: airings.at(-1)?.state ?? 'shut',
      releases,
      airings,
    };
  }

  setAiring(state: AiringState, who: Stamp): void {
    this.#sql('INSERT INTO airing (at, person, state) VALUES (?, ?, ?)').run(who.at, who.by, state);
  }

  /** Sets the volume of the bay and what doors and fan change of its air. Writes an audit row. */
  setRoom(roomM3: number, rates: Readonly<Record<AiringState, number>>, who: Stamp): void {
    this.#settings.adopt({ 'bay-volume-m3': String(roomM3), 'air-rates': JSON.stringify(rates) });
    this.#audit.write(who, 'bay-air', 'shop', { roomM3, rates });
  }
}
