import type { Database } from 'better-sqlite3';

/** What a practice world takes over from the shop: who works here, how it works, and what it knows. Nothing of its customers. */
const TAKEN = ['person', 'setting', 'wrench', 'tool', 'house_rule', 'knowledge', 'recipe', 'recipe_version'] as const;

/** Copies those rows as they are now. Both stores are of the same version: both were brought up by this program. */
export function takeShopRows(shop: Database, world: Database): void {
  for (const table of TAKEN) {
    const rows = shop.prepare<[], Record<string, unknown>>(`SELECT * FROM ${table}`).all();
    const [first] = rows;
    if (first === undefined) continue;
    const columns = Object.keys(first);
    // What is there already stays: versions of knowledge and recipes never change.
    const insert = world.prepare(
      `INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map((name) => `@${name}`).join(', ')}) ON CONFLICT DO NOTHING`,
    );
    for (const row of rows) insert.run(row);
  }
}
