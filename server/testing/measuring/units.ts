import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { chromium } from '@playwright/test';
import { pino } from 'pino';
import sharp from 'sharp';
import { createApp } from '../../app.ts';
import { command, fresh, take } from './store.ts';
import { type Measured, median, ms, percentile } from './measure.ts';

const UNITS = 12;
const PICTURES = 40;
const TIMERS = 8;
/** How long the timers are watched, ms. */
const WATCHED = 10_000;

/** The stages that have units in hand, in the browser: a full page opens, and timers tick at next to no cost. */
export async function unitPages(folder: string, web: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'unit-pages.sqlite');
  const at = '2026-05-13T08:00:00.000Z';
  const bus = services.vehicles.get('bus');
  if (bus === null) throw new Error('measuring: no vehicle');
  const { id: _id, lastReading: _last, ...known } = bus;
  const units = Array.from({ length: UNITS }, (_, index) => ({
    id: `tb-${index}`,
    kind: 'throttle-body' as const,
    place: `cylinder ${index + 1}`,
    partNumber: '',
    variant: '',
  }));
  services.vehicles.put(
    'twelve',
    { ...known, plate: 'TW 012', idleValve: 'none', familyId: null, units },
    0,
    {
      by: 'isla',
      at,
    },
    '2020-01-01',
  );
  const send = (...[type, data]: [string, object]): void => {
    take(services, 'b', command(`b-${Math.random()}`, type as never, data as never));
  };
  send('open-job', { vehicleId: 'twelve', reading: { value: 10, unit: 'km' }, readingReason: '', complaint: 'x' });
  for (let index = 0; index < PICTURES; index += 1) {
    const bytes = await sharp({
      create: { width: 1600, height: 1200, channels: 3, background: { r: index * 5, g: 90, b: 60 } },
    })
      .jpeg()
      .toBuffer();
    const stored = await services.pictures.prepare(bytes);
    if (stored !== null) services.pictures.record(stored, at);
    send('attach-picture', {
      id: `p${index}`,
      hash: stored?.hash,
      subject: `tb-${index % 2}`,
      when: index < PICTURES / 2 ? 'before' : 'after',
      caption: '',
    });
  }
  for (let index = 0; index < TIMERS; index += 1)
    send('start-timer', {
      id: `t${index}`,
      label: `Body ${index} soaks`,
      minutes: 600,
      kind: 'soak',
      unit: `tb-${index}`,
    });
  const server = createServer(createApp(services, pino({ level: 'silent' }), web)).listen(0, '127.0.0.1');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.addInitScript(() => localStorage.setItem('unhurried-wrench.person', 'tomas'));
  /** Reloads of a page until so much of it is painted, ms; the first fills the browser's cache and is left out. */
  const reloads = async (path: string, wanted: Readonly<Record<string, number>>): Promise<number[]> => {
    const taken: number[] = [];
    for (let load = 0; load < 12; load += 1) {
      await page.goto(`${address}/bay`);
      await page.goto(`${address}${path}`, { waitUntil: 'commit' });
      taken.push(
        await page.evaluate(
          (counts) =>
            new Promise<number>((done) => {
              const look = (): void => {
                // The frame after the one that holds everything has been painted.
                if (Object.entries(counts).every(([what, count]) => document.querySelectorAll(what).length >= count))
                  requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now())));
                else requestAnimationFrame(look);
              };
              look();
            }),
          wanted,
        ),
      );
    }
    return taken.slice(1);
  };
  const bare = await reloads('/tools', { h1: 1 });
  const inspect = await reloads('/jobs/b/inspect', {
    '[aria-label="Units on the bench"] button': UNITS,
    'main img': 20,
  });
  const clean = await reloads('/jobs/b/clean', { 'main section[aria-label^="Throttle body"]': UNITS });
  await page.goto(`${address}/jobs/b/clean`);
  await page
    .getByText('Body 0 soaks')
    .or(page.getByRole('heading', { name: 'On the bench: clean' }))
    .first()
    .waitFor();
  await page.waitForTimeout(1500);
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable', { timeDomain: 'threadTicks' });
  const busy = async (): Promise<number> =>
    ((await cdp.send('Performance.getMetrics')).metrics as { name: string; value: number }[]).find(
      ({ name }) => name === 'TaskDuration',
    )?.value ?? 0;
  const from = await busy();
  await page.waitForTimeout(WATCHED);
  const share = ((await busy()) - from) / (WATCHED / 1000);
  await browser.close();
  server.close();
  server.closeAllConnections();
  db.close();
  return [
    line(`inspect, ${UNITS} units and ${PICTURES} pictures, reload to painted`, inspect, bare),
    line(`clean, ${UNITS} lanes, reload to painted`, clean, bare),
    {
      what: `${TIMERS} timers on the clean page, main thread`,
      measured: `${(share * 100).toFixed(2)} % of a processor`,
      wanted: '< 1 %',
      met: share < 0.01,
    },
  ];
}

/** A page that opens in under 300 ms, beside the emptiest page of the application in the same browser. */
const line = (what: string, taken: readonly number[], bare: readonly number[]): Measured => ({
  what,
  measured: `${ms(median(taken))} (p95 ${ms(percentile(taken, 0.95))}), ${(median(taken) / median(bare)).toFixed(1)} × the tools page`,
  wanted: '< 300 ms',
  met: median(taken) < 300,
});

/** A picture of 12 million pixels is stored and copied while commands go on. */
export async function largePicture(folder: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'large-picture.sqlite');
  take(
    services,
    'p',
    command('p-open', 'open-job', {
      vehicleId: 'bus',
      reading: { value: 5000, unit: 'km' },
      readingReason: '',
      complaint: 'x',
    }),
  );
  const server = createServer(createApp(services, pino({ level: 'silent' }), null)).listen(0, '127.0.0.1');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const taken: number[] = [];
  const commands: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    const noise = await sharp({
      create: {
        width: 4000,
        height: 3000,
        channels: 3,
        background: { r: 90, g: 80, b: 70 },
        noise: { type: 'gaussian', mean: 110 + round, sigma: 18 },
      },
    })
      .jpeg({ quality: 85 })
      .toBuffer();
    let over = false;
    const from = performance.now();
    const upload = fetch(`${address}/api/pictures`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(noise),
    }).then(async (reply) => {
      await reply.text();
      if (!reply.ok) throw new Error(`measuring: ${reply.status}`);
      taken.push(performance.now() - from);
      over = true;
    });
    for (let index = 0; !over; index += 1) {
      const started = performance.now();
      const reply = await fetch(`${address}/api/jobs/p/commands`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(
          command(`p-${round}-${index}`, 'make-note', { id: `n-${round}-${index}`, stage: 'clean', text: 'note' }),
        ),
      });
      await reply.text();
      if (!reply.ok) throw new Error(`measuring: ${reply.status}`);
      commands.push(performance.now() - started);
    }
    await upload;
  }
  server.close();
  server.closeAllConnections();
  db.close();
  return [
    {
      what: 'picture of 12 Mpixel, sent to stored with copies',
      measured: `${ms(median(taken))} (worst ${ms(Math.max(...taken))})`,
      wanted: '< 1500 ms',
      met: median(taken) < 1500,
    },
    {
      what: `commands meanwhile, p95 of ${commands.length}`,
      measured: ms(percentile(commands, 0.95)),
      wanted: '< 100 ms',
      met: percentile(commands, 0.95) < 100,
    },
  ];
}
