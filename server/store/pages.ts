import type { Database } from 'better-sqlite3';

/** Where a page ends: the values that the list is ordered by, of its last row. */
export type PageKey = readonly (string | number)[];

/** A page of rows as they were read, and where it ends; null when nothing comes after it. */
export interface ReadPage<Row> {
  readonly rows: readonly Row[];
  readonly next: PageKey | null;
}

/** What a page is asked by. */
export interface PageAsk {
  readonly after: PageKey | null;
  readonly descending: boolean;
  /** 1 or more. */
  readonly limit: number;
}

/** A list in one order. */
export interface Listing {
  /** `SELECT … FROM …`, without WHERE, and the values that are asked for in it. */
  readonly select: string;
  readonly values?: readonly (string | number)[];
  readonly where: readonly { readonly sql: string; readonly values: readonly (string | number)[] }[];
  /** Columns of an index, never null; together they tell one row from another. */
  readonly order: readonly string[];
}

/**
 * Reads a page that begins after a key: the index finds its first row, however many come before it.
 * @see Winand, *SQL Performance Explained*, ch. 7: the seek method
 */
export function readPage<Row>(
  sql: Database['prepare'],
  { select, values = [], where, order }: Listing,
  { after, descending, limit }: PageAsk,
): ReadPage<Row> {
  const beyond = {
    sql: `(${order.join(', ')}) ${descending ? '<' : '>'} (${order.map(() => '?').join(', ')})`,
    values: after ?? [],
  };
  const all = after === null ? where : [...where, beyond];
  const conditions = all.length === 0 ? '' : `WHERE ${all.map((each) => each.sql).join(' AND ')}`;
  const direction = descending ? ' DESC' : '';
  const rows = sql<unknown[], Row & { page_key: string }>(
    `${select.replace(/\bFROM\b/, `, json_array(${order.join(', ')}) AS page_key FROM`)} ${conditions}
     ORDER BY ${order.map((column) => column + direction).join(', ')} LIMIT ?`,
  ).all(...values, ...all.flatMap((each) => each.values), limit + 1);
  const page = rows.slice(0, limit);
  const last = page.at(-1);
  return {
    rows: page,
    next: rows.length > limit && last !== undefined ? (JSON.parse(last.page_key) as PageKey) : null,
  };
}
