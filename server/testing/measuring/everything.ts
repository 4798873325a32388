import { readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import Sqlite from 'better-sqlite3';
import { pino } from 'pino';
import { replay } from '../../../core/job/index.ts';
import { searchText } from '../../../core/words/index.ts';
import { cableProcedure } from '../../../demo/procedures/cable.ts';
import { createApp } from '../../app.ts';
import { createServices } from '../../services.ts';
import { away } from './away.ts';
import { weaving } from './day.ts';
import { overTheYears } from './years.ts';
import { tapToPaint } from './tap.ts';
import { unitPages, largePicture } from './units.ts';
import { firstRealJob } from './journey.ts';
import { drawnLooks } from './looks.ts';
import { plannedWays, practising } from './practice.ts';
import { diagnosing } from './diagnosis.ts';
import { judging } from './judgement.ts';
import { command, fresh, openedJob, take } from './store.ts';
import { lists } from './lists.ts';
import { longJob } from './longJob.ts';
import { numbers } from './numbers.ts';
import { planning } from './refit.ts';
import { traceChart, traces } from './traces.ts';
import { signedIn } from './signedIn.ts';
import { manyStations } from './stations.ts';
import { type Measured, median, ms, percentile, time } from './measure.ts';

/** Everything that `npm run bench` promises, in order. @param folder for stores @param dist the built application */
export async function measure(folder: string, dist: string): Promise<Measured[]> {
  const parts: readonly (readonly [
    name: string,
    part: () => Measured | readonly Measured[] | Promise<Measured | readonly Measured[]>,
  ])[] = [
    ['numbers', numbers],
    ['planning', planning],
    ['diagnosing', diagnosing],
    ['judging', judging],
    ['practising', practising],
    ['planned ways', plannedWays],
    ['traces', traces],
    ['weaving', weaving],
    ['the years', () => overTheYears(folder)],
    ['commands', () => commands(folder)],
    ['stations', () => manyStations(folder)],
    ['signed in', () => signedIn(folder)],
    ['opening', () => opening(folder)],
    ['a long job', () => longJob(folder)],
    ['lists', () => lists(folder)],
    ['search', () => search(folder)],
    ['first load', () => firstLoad(join(dist, 'web'))],
    ['a tap', () => tapToPaint(folder, join(dist, 'web'))],
    ['looks', () => drawnLooks(folder, join(dist, 'web'))],
    ['away', () => away(folder, join(dist, 'web'))],
    ['a picture', () => largePicture(folder)],
    ['unit pages', () => unitPages(folder, join(dist, 'web'))],
    ['charts', () => traceChart(folder, join(dist, 'web'))],
    ['the first real job', () => firstRealJob(join(dist, '..'))],
  ];
  const measured: Measured[] = [];
  for (const [name, part] of parts) {
    try {
      measured.push(...[await part()].flat());
    } catch (error) {
      // One that fails is a line that is not met; the others are still worth knowing.
      measured.push({ what: name, measured: String(error).slice(0, 80), wanted: 'to be measured', met: false });
    }
  }
  return measured;
}

async function commands(folder: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'commands.sqlite');
  openedJob(services, 'j', 1000);
  const server = createServer(createApp(services, pino({ level: 'silent' }), null)).listen(0, '127.0.0.1');
  const bare = createServer((request, response) => {
    request.resume().on('end', () => response.setHeader('content-type', 'application/json').end('{"ok":true}'));
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const address = (listening: typeof server): string => `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  const post = async (url: string, body: string): Promise<void> => {
    const reply = await fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
    await reply.text();
    if (!reply.ok) throw new Error(`measuring: ${reply.status}`);
  };
  // The same rows as one such command writes: a command, an event, the summary and a strip item.
  const plain = new Sqlite(join(folder, 'bare.sqlite'));
  plain.pragma('journal_mode = WAL');
  plain.pragma('synchronous = FULL');
  plain.exec(
    'CREATE TABLE command (id TEXT PRIMARY KEY, a TEXT); CREATE TABLE event (seq INTEGER PRIMARY KEY, data TEXT); CREATE TABLE summary (id TEXT PRIMARY KEY, words TEXT, n INTEGER); CREATE TABLE item (id TEXT PRIMARY KEY, label TEXT)',
  );
  const write = [
    plain.prepare('INSERT INTO command VALUES (?, ?)'),
    plain.prepare('INSERT INTO event (data) VALUES (?)'),
    plain.prepare('INSERT OR REPLACE INTO summary VALUES (1, ?, ?)'),
    plain.prepare('INSERT OR REPLACE INTO item VALUES (1, ?)'),
  ] as const;
  const transaction = plain.transaction((index: number) => {
    write[0].run(`c${index}`, 'j');
    write[1].run('x'.repeat(300));
    write[2].run('y'.repeat(200), index);
    write[3].run(`label ${index}`);
  });
  const [full, http, rows]: [number[], number[], number[]] = [[], [], []];
  for (let index = 0; index < 400; index += 1) {
    const item = cableProcedure.items[index % cableProcedure.items.length]!;
    const body = JSON.stringify({
      id: `b${index}`,
      at: new Date().toISOString(),
      by: 'tomas',
      seen: index + 2,
      type: 'remark-item',
      data: { itemId: item.id, pocket: `P${index}`, label: '', remark: '' },
    });
    // The three are taken in turn, so that the machine's mood falls on all alike.
    let from = performance.now();
    await post(`${address(server)}/api/jobs/j/commands`, body);
    full.push(performance.now() - from);
    from = performance.now();
    await post(`${address(bare)}/`, body);
    http.push(performance.now() - from);
    from = performance.now();
    transaction(index);
    rows.push(performance.now() - from);
  }
  server.close();
  bare.close();
  db.close();
  plain.close();
  const [a, b, c] = [full, http, rows].map((values) => median(values.slice(50))) as [number, number, number];
  const ratio = a / (b + c);
  return [
    {
      what: 'a command over HTTP to durable, against bare parts',
      measured: `${ratio.toFixed(2)} × (${ms(a)} : ${ms(b)} + ${ms(c)})`,
      wanted: '≤ 3 ×',
      met: ratio <= 3,
    },
  ];
}

function opening(folder: string): Measured {
  const { services, db } = fresh(folder, 'opening.sqlite');
  openedJob(services, 'big', 1000);
  for (let index = 0; index < 598; index += 1) {
    const item = cableProcedure.items[index % cableProcedure.items.length]!;
    take(
      services,
      'big',
      command(`o${index}`, 'remark-item', {
        itemId: item.id,
        pocket: `P${index}`,
        label: '',
        remark: 'as it was found',
      }),
    );
  }
  // Services with nothing folded yet: each reads the job as after a start.
  const services15 = Array.from({ length: 15 }, () =>
    createServices(db, join(folder, 'opening-pictures'), () => '', 'UTC'),
  );
  const cold = median(services15.map((other) => time(() => JSON.stringify(other.jobs.read('big', 0)), 1)[0] ?? 0));
  const events = replay('big', services.jobs.log.since('big', 0))?.version ?? 0;
  db.close();
  return { what: `opening a job of ${events} events, cold`, measured: ms(cold), wanted: '< 30 ms', met: cold < 30 };
}

function search(folder: string): Measured {
  const { services, db } = fresh(folder, 'search.sqlite');
  const put =
    db.prepare(`INSERT INTO vehicle (id, plate, vin, make, model, nickname, year, engine, throttle, idle_valve, owner, meter_unit, figures, notes, search)
    VALUES (?, ?, '', 'Norrland', 'Parcel', '', 2000, '2.5 L four', 'cable', 'rotary', ?, 'km', '{"idleRpm":null,"valveDuty":null,"closedVolts":null}', '', ?)`);
  const unit = db.prepare(
    `INSERT INTO unit (id, kind, part_number, features, vehicle_id, place, state) VALUES (?, 'throttle-body', 'NP-25-1100', '{"mark":"C"}', ?, 'only', 'fitted')`,
  );
  db.transaction(() => {
    for (let index = 0; index < 20_000; index += 1) {
      const plate = `${String.fromCharCode(65 + (index % 26))}${String.fromCharCode(65 + (Math.floor(index / 26) % 26))} ${index}`;
      put.run(
        `v${index}`,
        plate,
        `Owner ${index % 997}`,
        searchText(['Norrland', 'Parcel', `Owner ${index % 997}`, '2.5 L four'], [plate]),
      );
      unit.run(`u${index}`, `v${index}`);
    }
  })();
  const queries = ['qz 19', 'parcel', 'owner 996', 'nothing like it', 'norrland four 777', 'a', '19999'];
  for (const query of queries) services.vehicles.page(query, 'plate', { after: null, descending: false, limit: 50 });
  const taken = Array.from({ length: 20 }, () =>
    queries.flatMap((query) =>
      time(() => services.vehicles.page(query, 'plate', { after: null, descending: false, limit: 50 }), 1),
    ),
  ).flat();
  db.close();
  const p95 = percentile(taken, 0.95);
  return { what: 'vehicle search over 20,000, p95', measured: ms(p95), wanted: '< 15 ms', met: p95 < 15 };
}

/** Gzipped JavaScript that the first page needs: the entry, what it imports, and the first route. */
export function firstLoadBytes(web: string): number {
  const manifest = JSON.parse(readFileSync(join(web, '.vite', 'manifest.json'), 'utf8')) as Record<
    string,
    { file: string; imports?: string[] }
  >;
  const needed = new Set<string>();
  const walk = (key: string): void => {
    const chunk = manifest[key];
    if (chunk === undefined || needed.has(chunk.file)) return;
    needed.add(chunk.file);
    for (const each of chunk.imports ?? []) walk(each);
  };
  walk('index.html');
  walk('bay/BayView.vue');
  return [...needed].reduce((sum, file) => sum + gzipSync(readFileSync(join(web, file))).length, 0);
}

function firstLoad(web: string): Measured {
  const bytes = firstLoadBytes(web);
  const all = readdirSync(join(web, 'assets')).filter((name) => name.endsWith('.js')).length;
  return {
    what: `first load of JavaScript, gzip (of ${all} chunks)`,
    measured: `${(bytes / 1024).toFixed(1)} KB`,
    wanted: '≤ 150 KB',
    met: bytes <= 150 * 1024,
  };
}
