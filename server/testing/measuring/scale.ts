import { rmSync, statSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { ORDINARY_WEEK } from '../../../core/prepare/index.ts';
import { createServices } from '../../services.ts';
import { openStore } from '../../store/open.ts';
import { largeShop, plateOf, REAL } from './largeShop.ts';
import { median, time } from './measure.ts';
import { command, take } from './store.ts';

/** One line of what a store of a size takes. */
export interface ScaleLine {
  readonly what: string;
  readonly took: string;
}

const seconds = (ms: number): string =>
  ms < 1000 ? `${ms.toFixed(ms < 10 ? 2 : 0)} ms` : `${(ms / 1000).toFixed(1)} s`;
const bytes = (count: number): string => `${(count / 1e9).toFixed(2)} GB`;

/**
 * How a store behaves that holds so many jobs with their logs: for `docs/scale.md`. Each figure beside the same of the
 * small shop that the large one is made of.
 */
export function measureScale(folder: string, jobs: number): ScaleLine[] {
  const lines: ScaleLine[] = [];
  const from = performance.now();
  const { small, large } = largeShop(folder, Math.round(jobs / REAL), true);
  lines.push({ what: `making the store of ${jobs.toLocaleString('en-GB')}`, took: seconds(performance.now() - from) });
  const [few, many] = [open(small), open(large)];
  const both = (what: string, work: (store: Opened, nth: number) => void, times = 9): void => {
    const of = (store: Opened): number => {
      let nth = 0;
      return median(time(() => work(store, (nth += 1)), times));
    };
    const [theirs, ours] = [of(few), of(many)];
    lines.push({ what, took: `${seconds(ours)} (${seconds(theirs)} with ${REAL.toLocaleString('en-GB')})` });
  };
  const count = (db: Database, table: string): number =>
    db.prepare<[], { n: number }>(`SELECT COUNT(*) AS n FROM ${table}`).get()?.n ?? 0;
  lines.push({ what: 'jobs, entries in logs', took: `${count(many.db, 'job_summary')}, ${count(many.db, 'event')}` });
  lines.push({ what: 'size on disk', took: `${bytes(statSync(large).size)} (${bytes(statSync(small).size)})` });
  lines.push({ what: 'opening the store', took: `${seconds(many.opened)} (${seconds(few.opened)})` });
  both('the Bay', ({ services }) => void services.bay.lines(NOW, PLACE));
  both(
    'newest jobs, one page',
    ({ services }) => void services.jobLines.page({ text: '', status: 'all', vehicleId: undefined }, 'number', PAGE),
  );
  both('vehicles that fit what is typed', ({ services }, nth) => void services.vehicles.page(plateOf(nth * 7), 'plate', PAGE)); // prettier-ignore
  both('search over everything', ({ services }) => void services.search.find('gasket swollen flange', 20));
  both('a command, to disk', ({ services }, nth) =>
    take(
      services,
      `real-${REAL - 1}`,
      command(`scale-${nth}`, 'make-note', { id: `s${nth}`, stage: 'strip', text: 'x' }),
    ),
  );
  const { month } = many.db
    .prepare<[], { month: string }>('SELECT substr(MAX(closed_at), 1, 7) AS month FROM visit')
    .get() ?? { month: '2026-01' };
  const closed = many.db.prepare('SELECT COUNT(*) AS n FROM visit WHERE substr(closed_at, 1, 7) = ?').get(month) as {
    n: number;
  };
  both(
    `a month, here of ${closed.n.toLocaleString('en-GB')} jobs`,
    ({ services }) => void services.reports.of(month),
    3,
  );
  both('what is due', ({ services }) => void services.years.due(NOW, 8), 1);
  both('what lasts', ({ services }) => void services.years.lasting(NOW), 1);
  both('a copy of the database while it is in use', ({ db }, nth) => copyOf(db, nth), 1); // prettier-ignore
  both('integrity of the whole file', ({ db }) => void db.pragma('integrity_check'), 1);
  const anew = median(time(() => void few.services.jobs.rebuild(), 1));
  lines.push({ what: 'making kept columns anew, each 100,000 jobs', took: seconds((anew / REAL) * 100_000) });
  for (const { db } of [few, many]) db.close();
  return lines;
}

/** As a backup begins: a whole copy, made while others write. It is not kept: there is room for one. */
function copyOf(db: Database, nth: number): void {
  const copy = `${db.name}-copy-${nth}`;
  db.exec(`VACUUM INTO '${copy}'`);
  rmSync(copy);
}
const NOW = new Date().toISOString();
const PLACE = { timeZone: 'UTC', calendar: ORDINARY_WEEK };
const PAGE = { after: null, descending: true, limit: 50 } as const;

interface Opened {
  readonly db: Database;
  readonly services: ReturnType<typeof createServices>;
  readonly opened: number;
}
function open(file: string): Opened {
  const from = performance.now();
  const db = openStore(file);
  const services = createServices(db, `${file}-pictures`, () => new Date().toISOString(), 'UTC');
  return { db, services, opened: performance.now() - from };
}
