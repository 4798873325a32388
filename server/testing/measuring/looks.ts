import type { AddressInfo } from 'node:net';
import { chromium } from '@playwright/test';
import { pino } from 'pino';
import { createApp } from '../../app.ts';
import { type Measured, median, ms, percentile } from './measure.ts';
import { fresh } from './store.ts';

/** So many pictures are drawn. */
const DRAWN = 30;

/** From a tap to the painted picture of a look, in the drill that shows them one after another; beside it a frame in which nothing changes. */
export async function drawnLooks(folder: string, web: string): Promise<Measured> {
  const { services, db } = fresh(folder, 'looks.sqlite');
  const server = createApp(services, pino({ level: 'silent' }), web).listen(0, '127.0.0.1');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.addInitScript(() => localStorage.setItem('unhurried-wrench.person', 'tomas'));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const frame = (selector: string | null): Promise<number> =>
    page.evaluate(async (target) => {
      const from = performance.now();
      if (target !== null) document.querySelector<HTMLElement>(target)?.click();
      await new Promise<void>((painted) => {
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => painted();
          channel.port2.postMessage(0);
        });
      });
      return performance.now() - from;
    }, selector);
  const drawn: number[] = [];
  const bare: number[] = [];
  try {
    while (drawn.length < DRAWN) {
      await page.goto(`${address}/practice/drills/look`);
      await page.getByRole('radio').first().waitFor();
      for (let task = 0; task < 7 && drawn.length < DRAWN; task += 1) {
        await page.getByRole('radio').first().check();
        await page.getByRole('button', { name: 'That is it' }).click();
        bare.push(await frame(null));
        drawn.push(await frame('main section ~ div .primary, main .primary'));
        await page.getByRole('button', { name: 'That is it' }).waitFor();
      }
    }
  } finally {
    await browser.close();
    server.close();
    server.closeAllConnections();
    services.practice.close();
    db.close();
  }
  const typical = median(drawn);
  return {
    what: 'a practice look, tap to painted picture',
    measured: `${ms(typical)} (p95 ${ms(percentile(drawn, 0.95))}; ${(typical / median(bare)).toFixed(1)} × a frame in which nothing changes)`,
    wanted: '< 50 ms',
    met: typical < 50,
  };
}
