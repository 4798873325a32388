import type { Database } from 'better-sqlite3';
import type { ShopResult } from '../core/choose/index.ts';
import type { Estimate, Job } from '../core/job/index.ts';
import type { ThrottleKind } from '../core/vehicle/index.ts';
import { AdapterHub } from './adapter/hub.ts';
import { BenchStore } from './store/bench.ts';
import { Families } from './store/families.ts';
import { House } from './store/house.ts';
import { Jobs } from './store/jobs.ts';
import { KnowledgeStore } from './store/knowledge.ts';
import { Lists } from './store/lists.ts';
import { pairsForPrint } from './report/picturePairs.ts';
import { Pictures } from './store/pictures.ts';
import { Procedures } from './store/procedures.ts';
import { shopResults } from './store/results.ts';
import { Stock } from './store/stock.ts';
import { Units } from './store/units.ts';
import { Vehicles } from './store/vehicles.ts';

/** What the routes work with. */
export interface Services {
  readonly jobs: Jobs;
  readonly vehicles: Vehicles;
  readonly lists: Lists;
  readonly procedures: Procedures;
  readonly knowledge: KnowledgeStore;
  readonly families: Families;
  readonly units: Units;
  readonly house: House;
  readonly stock: Stock;
  readonly bench: BenchStore;
  /** Runs something that is several writes as one. */
  readonly inOneGo: <T>(work: () => T) => T;
  readonly hub: AdapterHub;
  readonly results: (throttle: ThrottleKind) => readonly ShopResult[];
  readonly pictures: Pictures;
  /** ISO time. */
  readonly now: () => string;
  /** Person id → name. */
  readonly people: () => ReadonlyMap<string, string>;
  readonly forgetPeople: () => void;
  readonly sheet: (job: Job) => Promise<Buffer>;
  readonly estimate: (job: Job, estimate: Estimate) => Promise<Buffer>;
}

/** Builds the services over an open store. @param pictureFolder where picture files live */
export function createServices(
  db: Database,
  pictureFolder: string,
  now: () => string,
  timeZone: string,
  hub = new AdapterHub(),
): Services {
  const units = new Units(db);
  const vehicles = new Vehicles(db, units);
  const lists = new Lists(db);
  const pictures = new Pictures(db, pictureFolder);
  const knowledge = new KnowledgeStore(db);
  knowledge.ship(now());
  const families = new Families(db);
  const house = new House(db);
  const procedures = new Procedures(db);
  const jobs = new Jobs(db, { vehicles, lists, procedures, knowledge, families, house, units });
  jobs.remakeProjections();
  let known: ReadonlyMap<string, string> | null = null;
  const people = (): ReadonlyMap<string, string> =>
    (known ??= new Map(lists.people().map(({ id, name }) => [id, name])));
  return {
    vehicles,
    lists,
    procedures,
    jobs,
    knowledge,
    families,
    units,
    house,
    stock: new Stock(db),
    bench: new BenchStore(db),
    inOneGo: (work) => db.transaction(work).immediate(),
    hub,
    results: (throttle) => shopResults(db, throttle),
    pictures,
    now,
    people,
    forgetPeople: () => {
      known = null;
    },
    estimate: async (job, estimate) => {
      const { printEstimate } = await import('./report/estimatePdf.ts');
      return printEstimate(job, estimate, people(), lists.settings(), timeZone);
    },
    sheet: async (job) => {
      // The PDF library takes half a second to load; only those who print pay for it.
      const { printSheet } = await import('./report/sheetPdf.ts');
      return printSheet(job, people(), lists.settings(), timeZone, await pairsForPrint(job, pictures));
    },
  };
}
