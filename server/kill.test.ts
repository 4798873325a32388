import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Place } from './keeping/place.ts';
import { builtPrograms } from './testing/builtPrograms.ts';
import { goodStore } from './testing/goodStore.ts';
import { killServer, killTask } from './testing/measuring/faults/kills.ts';

/** The short form of what `npm run bench -- --faults` does a thousand times. */
let programs: Awaited<ReturnType<typeof builtPrograms>>;
let folder: string;
let good: Place;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'uw-kill-'));
  programs = await builtPrograms();
  good = await goodStore(join(folder, 'good'));
});
afterAll(() => {
  programs.remove();
  rmSync(folder, { recursive: true, force: true });
});

describe('killed in the middle', () => {
  it('of commands and photos: what was acknowledged is there, and the store is whole', async () => {
    const { wrong, acknowledged } = await killServer(programs, folder, 12, 20260513);
    expect(wrong).toEqual([]);
    expect(acknowledged).toBeGreaterThan(36);
  }, 180_000);
  it.each(['migration', 'backup', 'restore', 'rebuild'] as const)(
    'of a %s: the store is whole, and holds what it held',
    async (task) => {
      const earlier = join(process.cwd(), 'server/testing/stores/0.1.0');
      expect((await killTask(programs, task, folder, good, earlier, 4, task.length)).wrong).toEqual([]);
    },
    120_000,
  );
});
