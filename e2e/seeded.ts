import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seed } from '../scripts/lib/seed.mjs';
import { launch } from './served.ts';

/** Where the stories find the folder of the demo world that each of them copies. */
export const SEEDED = 'UNHURRIED_WRENCH_SEEDED';

/** Seeds the demo world once for all stories: that takes half a minute, a copy of it a moment. */
export default async function seedOnce(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'uw-seeded-'));
  const server = await launch(join(folder, 'shop.sqlite'), 0);
  try {
    await seed(server.address, Date.now());
  } finally {
    await server.stop();
  }
  process.env[SEEDED] = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
