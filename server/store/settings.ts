import type { Database } from 'better-sqlite3';
import type { Settings as ShopSettings } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { isTimeZone } from '../../core/days/index.ts';
import type { Measures } from '../../core/quantity/index.ts';
import { type Calendar, ORDINARY_WEEK } from '../../core/prepare/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

/** What a shop says of itself once: its name, its prices, when it is open. */
export class Settings {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  readonly #machineZone: string;

  /** @param machineZone the time zone of this machine, for a shop that never said where it is */
  constructor(db: Database, audit: Audit, machineZone: string) {
    this.#machineZone = machineZone;
    this.#sql = prepared(db);
    this.#audit = audit;
  }

  /** One setting as it was written, or undefined where nothing was. */
  get(key: string): string | undefined {
    return this.#sql<[string], { value: string }>('SELECT value FROM setting WHERE key = ?').get(key)?.value;
  }

  shop(): ShopSettings {
    return {
      shopName: this.get('shop-name') ?? 'This workshop',
      currency: this.get('currency') ?? 'cr',
      timeZone: this.timeZone(),
      measures: this.measures(),
      ratePerHourMinor: Number(this.get('rate-per-hour-minor') ?? '0'),
      dayPriceMinor: Number(this.get('day-price-minor') ?? '0'),
      comebackMinor: Number(this.get('comeback-minor') ?? '0'),
    };
  }

  /** Where the shop is: an IANA name. One that this machine does not know any more gives way to the machine's own. */
  timeZone(): string {
    const told = this.get('time-zone');
    return told !== undefined && isTimeZone(told) ? told : this.#machineZone;
  }

  /** Which gallon the shop means; null until it has been asked. */
  measures(): Measures {
    const told = this.get('measures');
    return told === 'US' || told === 'imperial' ? told : null;
  }

  /** Whether any amount of money was kept here that is not nought. */
  hasPrices(): boolean {
    const found = this.#sql<[], { found: number }>(
      `SELECT EXISTS (SELECT 1 FROM stock WHERE price_minor > 0) OR EXISTS (SELECT 1 FROM job_summary)
         OR EXISTS (SELECT 1 FROM unit_life WHERE price_minor > 0)
         OR EXISTS (SELECT 1 FROM engine_family WHERE body LIKE '%"prices"%')
         OR EXISTS (SELECT 1 FROM setting WHERE key IN ('rate-per-hour-minor', 'day-price-minor', 'comeback-minor') AND value NOT IN ('0', ''))
       AS found`,
    ).get();
    return found?.found === 1;
  }

  /** When the shop is open; a shop that never said so is open on weekdays from eight to five. */
  calendar(): Calendar {
    const told = this.get('calendar');
    return told === undefined ? ORDINARY_WEEK : (JSON.parse(told) as Calendar);
  }

  setCalendar(calendar: Calendar, who: Stamp): void {
    this.adopt({ calendar: JSON.stringify(calendar) });
    this.#audit.write(who, 'calendar-changed', 'calendar', calendar);
  }

  /** Sets figures such as `rate-per-hour-minor`. Writes an audit row. */
  set(settings: Readonly<Record<string, string>>, who: Stamp): void {
    this.adopt(settings);
    this.#audit.write(who, 'settings', 'shop', settings);
  }

  /** Takes in the settings of a shop file. */
  adopt(settings: Readonly<Record<string, string>>): void {
    const put = this.#sql('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)');
    for (const [key, value] of Object.entries(settings)) put.run(key, value);
  }
}
