import type { AddressInfo } from 'node:net';
import { chromium, type Page } from '@playwright/test';
import { pino } from 'pino';
import { createApp } from '../../app.ts';
import { type Measured, median, ms, percentile } from './measure.ts';
import { fresh, openedJob } from './store.ts';

const QUEUE = 2000;
const JOB = 'away';

/** From the start of a reload to the frame that shows the job, ms. */
async function reload(page: Page): Promise<number> {
  const from = performance.now();
  await page.reload({ waitUntil: 'commit' });
  await page.getByTestId('act').waitFor();
  return performance.now() - from;
}

/** Puts commands where an earlier page left them waiting. */
const leaveWaiting = (page: Page, count: number): Promise<void> =>
  page.evaluate(
    ([jobId, many]) =>
      new Promise<void>((resolve) => {
        const asked = indexedDB.open('unhurried-wrench');
        asked.onsuccess = () => {
          const change = asked.result.transaction('commands', 'readwrite');
          for (let nth = 0; nth < many; nth += 1) {
            const id = crypto.randomUUID();
            // Of another stage: how long a list of two thousand notes takes to draw is not asked here.
            const data = { id: crypto.randomUUID(), stage: 'prove', text: `note ${nth}` };
            const at = new Date(Date.now() - (many - nth) * 1000).toISOString();
            change
              .objectStore('commands')
              .put({ order: nth, jobId, command: { id, at, by: 'tomas', seen: 0, type: 'make-note', data } }, id);
          }
          change.oncomplete = () => {
            asked.result.close();
            resolve();
          };
        };
      }),
    [JOB, count] as const,
  );

/** From a tap to the frame that shows it, ms. */
const tap = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const from = performance.now();
    document.querySelector<HTMLElement>('[data-testid="act"]')?.click();
    await new Promise<void>((painted) => {
      requestAnimationFrame(() => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => painted();
        channel.port2.postMessage(0);
      });
    });
    return performance.now() - from;
  });

/** A job's page with the server away, beside the same with it there; then two thousand commands that wait and are sent. */
export async function away(folder: string, web: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'away.sqlite');
  openedJob(services, JOB, 5000);
  const app = createApp(services, pino({ level: 'silent' }), web);
  let server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const stop = (): void => {
    server.close();
    server.closeAllConnections();
  };
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => localStorage.setItem('unhurried-wrench.person', 'tomas'));
  await page.goto(`http://127.0.0.1:${port}/jobs/${JOB}/strip`);
  await page.getByTestId('act').waitFor();
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  const times = async (): Promise<number[]> => {
    await reload(page);
    const all: number[] = [];
    for (let nth = 0; nth < 9; nth += 1) all.push(await reload(page));
    return all;
  };
  const there = median(await times());
  stop();
  const gone = median(await times());

  await leaveWaiting(page, QUEUE);
  await reload(page);
  await page.getByText(`${QUEUE} waiting to be saved`).waitFor();
  await tap(page);
  const taps: number[] = [];
  for (let nth = 0; nth < 15; nth += 1) taps.push(await tap(page));
  const from = performance.now();
  server = app.listen(port, '127.0.0.1');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await page.getByTestId('waits').waitFor({ state: 'hidden', timeout: 300_000 });
  const sent = performance.now() - from;
  const [{ n } = { n: 0 }] = db
    .prepare<[], { n: number }>("SELECT count(*) AS n FROM event WHERE job_id = 'away' AND type = 'note-made'")
    .all();
  await browser.close();
  stop();
  db.close();
  return [
    {
      what: 'a job’s page reloaded with the server away',
      measured: `${ms(gone)}, ${(gone / there).toFixed(2)} × with it there (${ms(there)})`,
      wanted: '≤ 1.5 ×',
      met: gone <= 1.5 * there,
    },
    {
      what: `tap to paint on top of ${QUEUE} that wait`,
      measured: `${ms(median(taps))} (p95 ${ms(percentile(taps, 0.95))})`,
      wanted: '< 50 ms',
      met: median(taps) < 50,
    },
    {
      what: `${QUEUE} that waited, sent once each`,
      measured: `${n} there after ${(sent / 1000).toFixed(1)} s`,
      wanted: `${QUEUE}`,
      met: n === QUEUE,
    },
  ];
}
