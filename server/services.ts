import type { Database } from 'better-sqlite3';
import type { Job } from '../core/job/index.ts';
import { Jobs } from './store/jobs.ts';
import { Lists } from './store/lists.ts';
import { pairsForPrint } from './report/picturePairs.ts';
import { Pictures } from './store/pictures.ts';
import { Vehicles } from './store/vehicles.ts';

/** What the routes work with. */
export interface Services {
  readonly jobs: Jobs;
  readonly vehicles: Vehicles;
  readonly lists: Lists;
  readonly pictures: Pictures;
  /** ISO time. */
  readonly now: () => string;
  /** Person id → name. */
  readonly people: () => ReadonlyMap<string, string>;
  readonly forgetPeople: () => void;
  readonly sheet: (job: Job) => Promise<Buffer>;
}

/** Builds the services over an open store. @param pictureFolder where picture files live */
export function createServices(db: Database, pictureFolder: string, now: () => string, timeZone: string): Services {
  const vehicles = new Vehicles(db);
  const lists = new Lists(db);
  const pictures = new Pictures(db, pictureFolder);
  let known: ReadonlyMap<string, string> | null = null;
  const people = (): ReadonlyMap<string, string> =>
    (known ??= new Map(lists.people().map(({ id, name }) => [id, name])));
  return {
    vehicles,
    lists,
    jobs: new Jobs(db, vehicles, lists),
    pictures,
    now,
    people,
    forgetPeople: () => {
      known = null;
    },
    sheet: async (job) => {
      // The PDF library takes half a second to load; only those who print pay for it.
      const { printSheet } = await import('./report/sheetPdf.ts');
      return printSheet(job, people(), lists.settings(), timeZone, await pairsForPrint(job, pictures));
    },
  };
}
