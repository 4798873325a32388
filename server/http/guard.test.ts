import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { type Harness, harness } from '../testing/harness.ts';
import type { Front } from './guard.ts';

let server: Harness;
let web: string;
beforeAll(async () => {
  server = await harness();
  web = mkdtempSync(join(tmpdir(), '.uw-web-'));
  writeFileSync(join(web, 'index.html'), '<p>the page</p>');
});
afterAll(() => {
  server.close();
  rmSync(web, { recursive: true, force: true });
});
const made = new Map<Front | undefined, ReturnType<typeof supertest>>();
/** The application for the names by which it is called. */
function at(front?: Front): ReturnType<typeof supertest> {
  const known = made.get(front) ?? supertest(createApp(server.services, pino({ level: 'silent' }), web, front));
  made.set(front, known);
  return known;
}

describe('a link that somebody follows from elsewhere', () => {
  const followed = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };

  it('opens the page, and reads nothing of the workshop', async () => {
    await at().get('/jobs/job-230/refit').set(followed).expect(200);
    await at().get('/api/bay').set(followed).expect(403);
    await at().post('/jobs/job-230/refit').set(followed).expect(403);
  });

  it('is another thing than a request that a page makes, or a frame that it shows', async () => {
    await at()
      .get('/')
      .set({ ...followed, 'sec-fetch-mode': 'no-cors' })
      .expect(403);
    await at()
      .get('/')
      .set({ ...followed, 'sec-fetch-dest': 'iframe' })
      .expect(403);
  });
});

describe('a server on the network', () => {
  const front: Front = { hosts: new Set(['garage.local', '192.168.7.20']), scheme: 'https', proxy: null };
  const ask = (headers: Record<string, string>) => at(front).get('/api/health').set(headers);

  it('answers to its own names alone, whatever their capitals and port', async () => {
    for (const host of ['garage.local', 'GARAGE.local:4274', '192.168.7.20:4274']) await ask({ host }).expect(200);
    for (const host of ['localhost', 'garage.local.evil.example', '']) await ask({ host }).expect(403);
  });

  it('answers its own pages by HTTPS alone, and tells the browser to stay with it', async () => {
    const host = 'garage.local:4274';
    await ask({ host, origin: 'https://garage.local:4274' }).expect(200);
    await ask({ host, origin: 'http://garage.local:4274' }).expect(403);
    await ask({ host, origin: 'https://garage.local' }).expect(403);
    const { headers } = await ask({ host });
    expect([headers['strict-transport-security'], headers['referrer-policy']]).toEqual([
      'max-age=15552000',
      'no-referrer',
    ]);
    expect((await at().get('/api/health')).headers['strict-transport-security']).toBeUndefined();
  });
});
