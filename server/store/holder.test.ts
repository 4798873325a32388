import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { holderOf, holdStore, isHeld } from './holder.ts';
import { openStore } from './open.ts';

let folder: string;
let store: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'uw-held-'));
  store = join(folder, 'shop.sqlite');
  openStore(store).close();
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Another process that holds the store until it is killed. */
async function otherProcess(): Promise<{ kill: () => Promise<void> }> {
  const script = join(folder, 'holds.mjs');
  writeFileSync(
    script,
    `import Sqlite from ${JSON.stringify(join(process.cwd(), 'node_modules/better-sqlite3/lib/index.js'))};
     const lock = new Sqlite(${JSON.stringify(`${store}.lock`)});
     lock.exec('BEGIN EXCLUSIVE');
     console.log('held');
     setInterval(() => lock.open, 1000);`,
  );
  const child = spawn(process.execPath, [script], { stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((ready) => child.stdout.once('data', ready));
  return {
    kill: () =>
      new Promise((done) => {
        child.once('exit', () => done());
        child.kill('SIGKILL');
      }),
  };
}

describe('a store', () => {
  it('has one holder: a second start is told who it is and where it serves', () => {
    const held = holdStore(store, '2026-05-13T08:00:00.000Z');
    held.serving('http://127.0.0.1:4174');
    expect(isHeld(store)).toBe(true);
    expect(() => holdStore(store, '2026-05-13T09:00:00.000Z')).toThrow(
      new RegExp(`process ${process.pid} on \\S+ since 2026-05-13T08:00:00.000Z. It serves at http://127.0.0.1:4174`),
    );
    expect(holderOf(store)).toMatchObject({ process: process.pid, address: 'http://127.0.0.1:4174' });
    held.release();
    expect(isHeld(store)).toBe(false);
    holdStore(store, '2026-05-13T10:00:00.000Z').release();
  });
  it('is free again when its holder was killed', async () => {
    const other = await otherProcess();
    expect(isHeld(store)).toBe(true);
    expect(() => holdStore(store, '2026-05-13T08:00:00.000Z')).toThrow('Another process works on');
    await other.kill();
    expect(isHeld(store)).toBe(false);
    holdStore(store, '2026-05-13T09:00:00.000Z').release();
  });
});
