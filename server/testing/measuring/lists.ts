import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import type { Database } from 'better-sqlite3';
import type { Page } from '../../../contract/index.ts';
import { createApp } from '../../app.ts';
import { createServices } from '../../services.ts';
import { openStore } from '../../store/open.ts';
import { largeShop, OPEN, plateOf, REAL } from './largeShop.ts';
import { type Measured, median, ms, percentile } from './measure.ts';

interface Served {
  readonly db: Database;
  readonly server: Server;
  readonly address: string;
}
async function serve(file: string): Promise<Served> {
  const db = openStore(file);
  const services = createServices(db, `${file}-pictures`, () => new Date().toISOString(), 'UTC');
  const server = createServer(createApp(services, pino({ level: 'silent' }), null));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()));
  return { db, server, address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/api` };
}
async function ask<T>(address: string): Promise<{ readonly took: number; readonly reply: T }> {
  const from = performance.now();
  const response = await fetch(address);
  const reply = (await response.json()) as T;
  if (!response.ok) throw new Error(`measuring: ${response.status} at ${address}`);
  return { took: performance.now() - from, reply };
}

/** Things that people look for: by plate, VIN, owner, number, code, what was seen, who did it; and what is not there. */
const SOUGHT = [
  plateOf(7),
  plateOf(1234).replace(' ', ''),
  `${plateOf(2500)}-40`,
  'WT100777',
  'harbour office 17',
  'marsh farm',
  'np 10 1080',
  'NP-25-1015',
  'P0507',
  'ring of coke',
  'gasket swollen flange',
  'bracket 2222',
  'pins green bulkhead',
  'tomas',
  'norrland',
  '2999',
  '12044',
  'calder wick p0171',
  'a',
  'nothing like this',
];

/**
 * Lists and search of a shop of 3,000 vehicles and jobs, and of the same with 300,000, asked over HTTP in turn: as a screen
 * opens them, and a page from the middle of the list.
 */
export async function lists(folder: string): Promise<Measured[]> {
  const { small, large } = largeShop(folder);
  const [few, many] = [await serve(small), await serve(large)];
  /** Each path is asked of both in turn, 15 times; the slowest path counts. */
  const timed = async (
    what: string,
    limit: number,
    pathsOf: (address: string) => Promise<readonly string[]>,
  ): Promise<Measured> => {
    const [ours, theirs] = [await pathsOf(many.address), await pathsOf(few.address)];
    const pairs: { large: number; small: number }[] = [];
    for (const [nth, path] of ours.entries()) {
      const taken: { large: number[]; small: number[] } = { large: [], small: [] };
      for (let round = 0; round < 18; round += 1) {
        taken.small.push((await ask(few.address + (theirs[nth] ?? path))).took);
        taken.large.push((await ask(many.address + path)).took);
      }
      pairs.push({ large: median(taken.large.slice(3)), small: median(taken.small.slice(3)) });
    }
    const { large: slow, small: quick } = pairs.reduce((worst, each) => (each.large > worst.large ? each : worst));
    return line(what, slow, quick, limit);
  };
  /** The first page, and the one after its third. */
  const withMiddle =
    (path: string) =>
    async (address: string): Promise<readonly string[]> => {
      const join = path.includes('?') ? '&' : '?';
      let next: string | null = null;
      for (let page = 0; page < 3; page += 1) {
        const { reply }: { reply: Page<unknown> } = await ask(address + path + (next === null ? '' : `${join}after=${encodeURIComponent(next)}`)); // prettier-ignore
        next = reply.next;
        if (next === null) break;
      }
      return next === null ? [path] : [path, `${path}${join}after=${encodeURIComponent(next)}`];
    };
  try {
    return [
      await timed('stock list of 2,000 things, 300,000 jobs', 60, withMiddle('/stock')),
      await timed('open jobs', 20, withMiddle('/jobs?status=open')),
      await timed('all jobs, newest first', 20, withMiddle('/jobs')),
      await timed('vehicles, 300,000', 15, withMiddle('/vehicles')),
      await timed('vehicles that fit what is typed', 15, async (address) => [
        // One vehicle of each: in the large shop there are a hundred that begin so.
        `/vehicles?q=${encodeURIComponent(address === many.address ? `${plateOf(77)}-40` : plateOf(77))}`,
        '/vehicles?q=harbour',
        '/vehicles?q=norrland&sort=owner',
      ]),
      await searching(few, many),
      await timed(`Bay with ${OPEN} open jobs`, 150, async () => ['/bay']),
    ];
  } finally {
    for (const { db, server } of [few, many]) {
      server.closeAllConnections();
      server.close();
      db.close();
    }
  }
}

async function searching(few: Served, many: Served): Promise<Measured> {
  const taken: { large: number[]; small: number[] } = { large: [], small: [] };
  for (let round = 0; round < 12; round += 1)
    for (const sought of SOUGHT) {
      const path = `/search?q=${encodeURIComponent(sought)}`;
      const small = (await ask(few.address + path)).took;
      const large = (await ask(many.address + path)).took;
      if (round < 2) continue;
      taken.small.push(small);
      taken.large.push(large);
    }
  const of = (values: readonly number[]): number => percentile(values, 0.95);
  return line('search over everything, p95', of(taken.large), of(taken.small), 30);
}

const line = (what: string, large: number, small: number, limit: number): Measured => ({
  what: `${what}; the same of ${REAL.toLocaleString('en-GB')}`,
  measured: `${ms(large)}, ${(large / small).toFixed(2)} × ${ms(small)}`,
  wanted: `≤ ${limit} ms, ≤ 2 ×`,
  met: large <= limit && large / small <= 2,
});
