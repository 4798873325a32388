import { cpSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import Sqlite from 'better-sqlite3';
import { seed } from '../scripts/lib/seed.mjs';
import { SEEDED } from './seeded.ts';
import { launch } from './served.ts';

/** The built server over a store of its own, filled with the demo world. */
export interface Workshop {
  readonly address: string;
  /** The store that it serves. */
  readonly file: string;
  /** Reads the store with plain SQL. */
  readonly rows: <T>(sql: string, ...values: unknown[]) => T[];
  readonly stop: () => Promise<void>;
  readonly start: () => Promise<void>;
  /** Opens a page as a person at the bench. */
  readonly open: (page: Page, path: string, person?: string) => Promise<void>;
}

/** Does something on a job over the API, on top of all that was done. */
export async function sent(page: Page, workshop: Workshop, jobId: string, type: string, data: object): Promise<void> {
  const [{ n: seen } = { n: 0 }] = workshop.rows<{ n: number }>(
    'SELECT count(*) AS n FROM event WHERE job_id = ?',
    jobId,
  );
  const reply = await page.request.post(`${workshop.address}/api/jobs/${jobId}/commands`, {
    data: { id: `${jobId}-${seen}-${type}`, at: new Date().toISOString(), by: 'tomas', seen, type, data },
  });
  expect(reply.ok(), await reply.text()).toBe(true);
}

/** What soaks, cools and was promised in the demo world is told from when it was seeded: an older one is another world. */
const STAYS_FRESH_MS = 7 * 60_000;

/** The folder of the seeded world; null once that is too old. */
function seededFolder(): string | null {
  const folder = process.env[SEEDED];
  if (!folder) throw new Error('No demo world was seeded: e2e/seeded.ts has not run.');
  return Date.now() - statSync(folder).birthtimeMs < STAYS_FRESH_MS ? folder : null;
}

export const test = base.extend<{ workshop: Workshop; empty: boolean; seededNow: boolean }>({
  /** Seeded for this story alone: what soaks in the demo world does not wait for stories that come late. */
  seededNow: [false, { option: true }],
  /** The store has nothing in it: a shop on its first day. */
  empty: [false, { option: true }],
  workshop: async ({ empty, seededNow }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'uw-e2e-'));
    const file = join(folder, 'shop.sqlite');
    const seeded = empty || seededNow ? null : seededFolder();
    if (seeded !== null) cpSync(seeded, folder, { recursive: true });
    let server = await launch(file, 0);
    const { address } = server;
    if (!empty && seeded === null) await seed(address, Date.now());
    await use({
      address,
      file,
      rows: (sql, ...values) => {
        const db = new Sqlite(file, { readonly: true });
        try {
          return db.prepare(sql).all(...values) as never;
        } finally {
          db.close();
        }
      },
      stop: () => server.stop(),
      start: async () => {
        server = await launch(file, Number(new URL(address).port));
      },
      open: async (page, path, person = 'tomas') => {
        await page.addInitScript((chosen) => {
          localStorage.setItem('unhurried-wrench.person', chosen);
          localStorage.setItem('unhurried-wrench.hints', 'all');
        }, person);
        await page.goto(address + path);
      },
    });
    await server.stop().catch(() => undefined);
    rmSync(folder, { recursive: true, force: true });
  },
});

/** All is back and tight: the engine is held for the coolant alone, and the way there is one press. */
export async function heldForCoolantAlone(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Engine held' }).press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('listitem')).toHaveText(['Coolant: nothing says that it is back']);
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
}

export { expect } from '@playwright/test';
