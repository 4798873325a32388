import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { PriceListLine } from '../../contract/index.ts';
import { addDays, dayOf } from '../../core/days/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { plainNumber } from '../../core/stock/index.ts';
import type { Offer, OfferKind } from '../../core/supplier/index.ts';
import type { PriceLine } from '../supplier/priceListCsv.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';
import type { Settings } from './settings.ts';

interface LineRow {
  readonly part_number: string;
  readonly name: string;
  readonly kind: OfferKind;
  readonly price_minor: number;
  readonly deposit_minor: number;
  readonly days: number | null;
  readonly supplier: string;
  readonly currency: string;
  readonly taken_at: string;
}

/** Price lists of suppliers: what is to be had when nobody answers. */
export class PriceLists {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  readonly #settings: Settings;

  constructor(db: Database, audit: Audit, settings: Settings) {
    this.#sql = prepared(db);
    this.#audit = audit;
    this.#settings = settings;
  }

  all(): PriceListLine[] {
    return this.#sql<[], PriceListLine>(
      `SELECT l.id, l.supplier, l.currency, l.taken_at AS takenAt, l.taken_by AS takenBy, COUNT(p.part_key) AS parts
       FROM price_list l LEFT JOIN price_line p ON p.list_id = l.id GROUP BY l.id ORDER BY l.supplier_key`,
    ).all();
  }

  /** Takes a list in, in place of the one before of that supplier. Call inside a transaction. */
  take(supplier: string, lines: readonly PriceLine[], who: Stamp): void {
    const key = supplier.trim().toLowerCase();
    this.#sql('DELETE FROM price_list WHERE supplier_key = ?').run(key);
    const id = randomUUID();
    this.#sql(
      'INSERT INTO price_list (id, supplier, supplier_key, currency, taken_at, taken_by) VALUES (?, ?, ?, ?, ?, ?)',
    ).run(id, supplier.trim(), key, this.#settings.shop().currency, who.at, who.by);
    const put = this.#sql(
      'INSERT INTO price_line (list_id, part_key, kind, part_number, name, price_minor, deposit_minor, days) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
    );
    for (const line of lines)
      put.run(
        id,
        plainNumber(line.partNumber),
        line.kind,
        line.partNumber,
        line.name,
        line.priceMinor,
        line.depositMinor,
        line.days,
      );
    this.#audit.write(who, 'price-list-taken', id, { supplier: supplier.trim(), parts: lines.length });
  }

  /** Throws a list away. Call inside a transaction. @returns whether there was one */
  drop(id: string, who: Stamp): boolean {
    const { changes } = this.#sql('DELETE FROM price_list WHERE id = ?').run(id);
    if (changes > 0) this.#audit.write(who, 'price-list-dropped', id, {});
    return changes > 0;
  }

  /** What the lists have of some numbers. @param now ISO time; days are counted from then */
  offers(numbers: readonly string[], now: string): Offer[] {
    const zone = this.#settings.timeZone();
    return this.#sql<[string], LineRow>(
      `SELECT p.part_number, p.name, p.kind, p.price_minor, p.deposit_minor, p.days, l.supplier, l.currency, l.taken_at
       FROM price_line p JOIN price_list l ON l.id = p.list_id
       WHERE p.part_key IN (SELECT value FROM json_each(?)) ORDER BY p.part_key, p.kind, l.supplier_key`,
    )
      .all(JSON.stringify(numbers.map(plainNumber)))
      .map((row) => ({
        partNumber: row.part_number,
        name: row.name,
        kind: row.kind,
        priceMinor: row.price_minor,
        currency: row.currency,
        depositMinor: row.deposit_minor,
        inStock: 0,
        expected: row.days === null ? null : addDays(dayOf(now, zone), row.days),
        list: { supplier: row.supplier, day: dayOf(row.taken_at, zone) },
      }));
  }
}
