import { createServices } from '../services.ts';
import { openStore } from '../store/open.ts';
import type { Place } from './place.ts';

/**
 * Makes every projection, balance and index of a store that nobody works on anew; all of it or nothing.
 * @param progress told after each job: how many of how many
 * @returns how many jobs were read
 */
export function rebuildStore(
  { store, pictures }: Place,
  machineZone: string,
  progress: (done: number, of: number) => void = () => undefined,
): number {
  const db = openStore(store, { mayCreate: false });
  let jobs = 0;
  try {
    db.prepare("INSERT OR REPLACE INTO setting (key, value) VALUES ('projections', 'to be made anew')").run();
    createServices(db, pictures, () => new Date().toISOString(), machineZone, undefined, {
      progress: (done, of) => {
        jobs = of;
        progress(done, of);
      },
    });
    return jobs;
  } finally {
    db.close();
  }
}
