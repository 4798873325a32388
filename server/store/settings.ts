import type { Database } from 'better-sqlite3';
import type { z } from 'zod';
import type { BrokenSetting, Settings as ShopSettings } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { isTimeZone } from '../../core/days/index.ts';
import type { Calendar } from '../../core/prepare/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';
import { isSetting, type Mark, type SettingName, settingProblem, SETTINGS, type SettingValue } from './settingKeys.ts';

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

  /** A setting as it is read, or what holds otherwise: nothing was said, or what was said cannot be read any more. */
  read<K extends SettingName>(key: K): SettingValue<K> {
    const { read, otherwise } = SETTINGS[key];
    const told = this.#text(key);
    const parsed = told === undefined ? undefined : (read as z.ZodType<SettingValue<K>>).safeParse(told);
    return parsed?.success === true ? parsed.data : (otherwise as SettingValue<K>);
  }

  /** Settings that were said and cannot be read: by what they are called, with what holds instead. */
  broken(): BrokenSetting[] {
    return this.#sql<[], { key: string; value: string }>('SELECT key, value FROM setting ORDER BY key')
      .all()
      .flatMap(({ key, value }) => {
        if (!isSetting(key) || (settingProblem(key, value) === null && !this.#isUnknownZone(key, value))) return [];
        const holds: unknown = key === 'time-zone' ? this.#machineZone : SETTINGS[key].otherwise;
        return [{ key, name: SETTINGS[key].name, holds: typeof holds === 'object' ? null : String(holds) }];
      });
  }

  #isUnknownZone(key: string, value: string): boolean {
    return key === 'time-zone' && !isTimeZone(value);
  }

  /** A mark of the store itself; undefined where there is none. */
  mark(key: Mark): string | undefined {
    return this.#text(key);
  }

  setMark(key: Mark, value: string): void {
    this.#put(key, value);
  }

  #text(key: string): string | undefined {
    return this.#sql<[string], { value: string }>('SELECT value FROM setting WHERE key = ?').get(key)?.value;
  }

  #put(key: string, value: string): void {
    this.#sql('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)').run(key, value);
  }

  shop(): ShopSettings {
    return {
      shopName: this.read('shop-name'),
      currency: this.read('currency'),
      timeZone: this.timeZone(),
      measures: this.read('measures'),
      ratePerHourMinor: this.read('rate-per-hour-minor'),
      dayPriceMinor: this.read('day-price-minor'),
      comebackMinor: this.read('comeback-minor'),
      comebackWithin: this.read('comeback-within'),
    };
  }

  /** Where the shop is: an IANA name. One that this machine does not know any more gives way to the machine's own. */
  timeZone(): string {
    return this.read('time-zone') ?? this.#machineZone;
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

  /** Whether somebody has entered an amount of money, apart from the shop's own rates. */
  moneyRecorded(): boolean {
    const found = this.#sql<[], { found: number }>(
      `SELECT EXISTS (SELECT 1 FROM stock WHERE price_minor > 0) OR EXISTS (SELECT 1 FROM consumption WHERE price_minor > 0)
         OR EXISTS (SELECT 1 FROM unit_life WHERE price_minor > 0)
         OR EXISTS (SELECT 1 FROM engine_family f, json_each(f.body, '$.unitTypes') t
           WHERE COALESCE(t.value ->> '$.prices.new', t.value ->> '$.prices.rebuilt', t.value ->> '$.prices.used') > 0)
       AS found`,
    ).get();
    return found?.found === 1;
  }

  setCalendar(calendar: Calendar, who: Stamp): void {
    this.adopt({ calendar: JSON.stringify(calendar) });
    this.#audit.write(who, 'calendar-changed', 'calendar', calendar);
  }

  /** Sets figures such as `rate-per-hour-minor`. Writes an audit row. */
  set(settings: Partial<Record<SettingName, string>>, who: Stamp): void {
    this.adopt(settings);
    this.#audit.write(who, 'settings', 'shop', settings);
  }

  /** Takes in the settings of a shop file. */
  adopt(settings: Partial<Record<SettingName, string>>): void {
    for (const [key, value] of Object.entries(settings)) this.#put(key, value);
  }
}
