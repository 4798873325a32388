import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import Sqlite from 'better-sqlite3';
import sharp from 'sharp';
import { seedDemo } from '../demo/seed.ts';

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

async function call(
  address: string,
  method: string,
  path: string,
  body: BodyInit,
  type = 'application/json',
): Promise<never> {
  const response = await fetch(`${address}${path}`, { method, headers: { 'content-type': type }, body });
  const reply = (await response.json()) as { error?: { message: string } };
  if (!response.ok) throw new Error(`${method} ${path}: ${reply.error?.message}`);
  return reply as never;
}

async function launch(file: string, port: number): Promise<{ address: string; stop: () => Promise<void> }> {
  const child = spawn(
    process.execPath,
    // Simulated vehicles run faster than the world, so that nobody waits for half a minute of idle.
    ['dist/server/main.js', '--data', file, '--port', String(port), '--pace', '10'],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  const ended = new Promise<void>((resolve) => child.on('close', () => resolve()));
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/\S+/.exec(String(chunk))?.[0];
      if (found) resolve(found);
    });
    child.on('close', (code) => reject(new Error(`The server ended with ${code}.`)));
  });
  return {
    address,
    stop: async () => {
      child.kill('SIGTERM');
      await ended;
    },
  };
}

export const test = base.extend<{ workshop: Workshop; empty: boolean }>({
  /** The store has nothing in it: a shop on its first day. */
  empty: [false, { option: true }],
  workshop: async ({ empty }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'uw-e2e-'));
    const file = join(folder, 'shop.sqlite');
    let server = await launch(file, 0);
    const { address } = server;
    const json = (method: string, path: string, value: unknown): Promise<never> =>
      call(address, method, path, JSON.stringify(value));
    if (!empty)
      await seedDemo(
        {
          putShop: async (shop) => void (await json('PUT', '/api/shop', shop)),
          putVehicle: async (id, vehicle) => void (await json('PUT', `/api/vehicles/${id}`, { by: 'isla', vehicle })),
          putProcedure: async (procedure, basedOn, note) =>
            void (await json('PUT', `/api/procedures/${procedure.id}`, { by: 'isla', basedOn, note, procedure })),
          send: (jobId, command) => json('POST', `/api/jobs/${jobId}/commands`, command),
          putRecording: async (packed) =>
            (
              (await call(address, 'POST', '/api/recordings', new Uint8Array(packed), 'application/octet-stream')) as {
                hash: string;
              }
            ).hash,
          putPicture: async (svg) =>
            (
              (await call(
                address,
                'POST',
                '/api/pictures',
                new Uint8Array(await sharp(Buffer.from(svg)).resize(120).png().toBuffer()),
                'image/png',
              )) as { hash: string }
            ).hash,
        },
        Date.now(),
      );
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
