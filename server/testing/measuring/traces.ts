import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { writeFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { pino } from 'pino';
import { advance, AT_REST, createEngine, ENGINE_KINDS } from '../../../core/engine/index.ts';
import {
  type Channel,
  hunting,
  phasesFound,
  readCsv,
  type Role,
  ROLES,
  thin,
  type Trace,
  understandCsv,
} from '../../../core/trace/index.ts';
import { createApp } from '../../app.ts';
import { command, fresh, take } from './store.ts';
import { type Measured, median, ms, percentile } from './measure.ts';

const ROWS = 100_000;
const NAMES: readonly Role[] = [
  'rpm',
  'plate',
  'manifold',
  'air-mass',
  'coolant',
  'intake',
  'short-trim',
  'long-trim',
  'volts',
  'load',
];

/** A file of a million readings: ten channels, a hundred thousand moments. */
function largeCsv(): string {
  const rows = [['time [s]', ...NAMES.map((role) => `${ROLES[role].name} [${ROLES[role].unit}]`)].join(',')];
  for (let at = 0; at < ROWS; at += 1)
    rows.push(
      [
        (at / 10).toFixed(1),
        ...NAMES.map((_, lane) => (800 / (lane + 1) + 20 * Math.sin(at / (3 + lane))).toFixed(2)),
      ].join(','),
    );
  return `${rows.join('\n')}\n`;
}

function readWhole(text: string): Trace {
  const layout = understandCsv(text);
  if ('ok' in layout) throw new Error(`measuring: ${layout.message}`);
  const steps = readCsv(text, layout);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value.trace;
  }
}

/** What a million readings cost, against a bare parse of the same bytes. */
export function traces(): Measured[] {
  const text = largeCsv();
  const bare: number[] = [];
  const whole: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    let from = performance.now();
    let sum = 0;
    for (const line of text.split('\n')) for (const cell of line.split(',')) sum += Number(cell);
    bare.push(performance.now() - from + (Number.isNaN(sum) ? 0 : 0));
    from = performance.now();
    const read = readWhole(text);
    const trace = { ...read, phases: phasesFound(read) };
    hunting(trace.channels[0]!);
    for (const channel of trace.channels) thin(channel, 1200);
    whole.push(performance.now() - from);
  }
  const [a, b] = [median(whole), median(bare)];
  return [
    {
      what: '1,000,000 readings read, analysed and thinned, against a bare parse of the same bytes',
      measured: `${(a / b).toFixed(2)} × (${ms(a)} : ${ms(b)})`,
      wanted: '≤ 4 ×',
      met: a / b <= 4,
    },
    engineSpeed(),
  ];
}

const SIMULATED_S = 600;

/** How fast an engine runs, against one lag stepped as often. */
function engineSpeed(): Measured {
  const run = { ...AT_REST, key: 'on' } as const;
  const start = advance(createEngine(ENGINE_KINDS.valve, { coolantC: 86 }), { ...run, key: 'start' }, 1.2);
  advance(start, run, 60);
  let from = performance.now();
  advance(start, run, SIMULATED_S);
  const engine = performance.now() - from;
  from = performance.now();
  let lag = 0;
  for (let step = 0; step < SIMULATED_S * 200; step += 1) lag += ((Math.sin(step) - lag) * 0.005) / 0.3;
  const bare = Math.max(performance.now() - from, 0.01) + (Number.isNaN(lag) ? 1 : 0);
  const times = SIMULATED_S / (engine / 1000);
  return {
    what: 'an engine, against real time',
    measured: `${Math.round(times)} × real time; ${(engine / bare).toFixed(1)} × one lag of a sine stepped as often`,
    wanted: '≥ 500 × real time',
    met: times >= 500,
  };
}

/** A trace of ten channels with a hundred thousand readings each, of blips and idle. */
function largeTrace(): Trace {
  const times = Float64Array.from({ length: ROWS }, (_, at) => at / 10);
  const channels = NAMES.map((role, lane): Channel => ({
    id: role,
    role,
    name: ROLES[role].name,
    unit: ROLES[role].unit,
    times,
    values: times.map((time) => Math.round((800 / (lane + 1) + 20 * Math.sin(time / (3 + lane))) * 100) / 100),
  }));
  return {
    channels,
    phases: [
      { kind: 'warm-idle', from: 0, to: ROWS / 10 },
      { kind: 'loads', from: 0, to: ROWS / 10 },
    ],
  };
}

/** From an action until the frame that shows it is painted. */
const painted = (page: Page, act: string): Promise<number> =>
  page.evaluate(
    (code) =>
      new Promise<number>((done) => {
        const from = performance.now();
        (new Function(code) as () => void)();
        requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)));
      }),
    act,
  );

/** The chart of recordings in the browser, and a tap while a million readings are read. */
export async function traceChart(folder: string, web: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'traces.sqlite');
  const send = (...[type, data]: [string, object]): void => {
    take(services, 't', command(`t-${Math.random()}`, type as never, data as never));
  };
  send('open-job', { vehicleId: 'bus', reading: { value: 10, unit: 'km' }, readingReason: '', complaint: 'x' });
  const trace = largeTrace();
  const prepared = services.recordings.prepare(trace);
  services.recordings.record(prepared, '2026-05-13T08:00:00.000Z');
  send('keep-recording', {
    id: 'r', hash: prepared.hash, when: 'after', startedAt: '2026-05-13T08:00:00.000Z', from: 'file', seconds: ROWS / 10, readings: ROWS * 10,
    channels: trace.channels.map(({ role, name, unit }) => ({ role, name, unit })), phases: trace.phases, ended: 'file', figures: [], untold: [], odd: [],
  }); // prettier-ignore
  const file = join(folder, 'large.csv');
  writeFileSync(file, largeCsv());
  const server = createServer(createApp(services, pino({ level: 'silent' }), web)).listen(0, '127.0.0.1');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM_PATH ?? '', args: ['--no-sandbox'] });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.addInitScript(() => localStorage.setItem('unhurried-wrench.person', 'tomas'));
  await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/jobs/t/prove`);
  await page.locator('[role="application"] canvas').waitFor();
  const tab = (name: string): string =>
    `[...document.querySelectorAll('[role="tab"]')].find((each) => each.textContent.includes('${name}')).click()`;
  const drawn: number[] = [];
  for (let round = 0; round < 8; round += 1)
    drawn.push(await painted(page, tab(round % 2 === 0 ? 'loads' : 'warm idle')));
  const pan = `document.querySelector('[role="application"]').dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }))`;
  await painted(page, `document.querySelector('[aria-label="Zoom in"]').click()`);
  const panned: number[] = [];
  for (let round = 0; round < 20; round += 1) panned.push(await painted(page, pan));
  const empty: number[] = [];
  for (let round = 0; round < 20; round += 1) empty.push(await painted(page, ''));
  await page.getByRole('button', { name: 'Live data after the work …' }).click();
  await page.locator('input[type="file"]').setInputFiles(file);
  await page.getByRole('button', { name: 'Take it, after the work' }).click();
  const taps: number[] = [];
  const tap = `[...document.querySelectorAll('[role="radio"]')].find((each) => each.textContent === (Math.random() < 0.5 ? 'warm' : 'cold'))?.click()`;
  while (taps.length < 60 && (await page.locator('progress').count()) > 0) taps.push(await painted(page, tap));
  await browser.close();
  server.close();
  db.close();
  const bare = median(empty);
  const row = (what: string, values: readonly number[], most: number, at = median): Measured => ({
    what,
    measured:
      values.length === 0
        ? 'not seen'
        : `${ms(at(values))}, ${(at(values) / bare).toFixed(1)} × a frame of the same page with nothing done (${ms(bare)})`,
    wanted: `< ${most} ms`,
    met: values.length > 0 && at(values) < most,
  });
  return [
    row('a chart of ten channels of 100,000 readings, first drawn', drawn, 300),
    row('the same, panned', panned, 50),
    row('a tap while a million readings are read, 95th of 100', taps, 50, (values) => percentile(values, 0.95)),
  ];
}
