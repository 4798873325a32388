import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { hash } from '@node-rs/argon2';
import { pino } from 'pino';
import type { SessionReply } from '../../../contract/index.ts';
import { cableProcedure } from '../../../demo/procedures/cable.ts';
import { ARGON, hashSecret } from '../../access/secrets.ts';
import { TOKEN_HEADER } from '../../access/gate.ts';
import { createApp } from '../../app.ts';
import { KEEP_ALIVE_MS } from '../../network/serving.ts';
import { type Measured, median, ms, percentile } from './measure.ts';
import { command, fresh, openedJob } from './store.ts';

const CLIENTS = 100;
const SECONDS = 60;
/** Each client gives a command so often, ms. */
const EVERY_MS = 2000;
const PASSWORD = 'tomas walks to the quay';

const wait = (howLong: number): Promise<void> => new Promise((done) => setTimeout(done, howLong));

/**
 * A hundred people who are signed in, each giving a command every two seconds for a minute: how long the slowest of a
 * hundred took, and whether each was taken once. And a sign-in, beside the bare hash that it checks.
 */
export async function signedIn(folder: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'signed-in.sqlite');
  for (let nth = 0; nth < CLIENTS; nth += 1) openedJob(services, `job${nth}`, 1000 + nth);
  services.access.accounts.setPassword('tomas', await hashSecret(PASSWORD), services.now());
  const server = createServer(createApp(services, pino({ level: 'silent' }), null)).listen(0, '127.0.0.1');
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  await wait(50);
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;

  const bare: number[] = [];
  const signing: number[] = [];
  for (let nth = 0; nth < 9; nth += 1) {
    let from = performance.now();
    await hash(PASSWORD, ARGON);
    bare.push(performance.now() - from);
    from = performance.now();
    const reply = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'tomas', password: PASSWORD }),
    });
    await reply.text();
    signing.push(performance.now() - from);
  }

  // As many sessions as clients, made as a sign-in makes them; more than ten a minute are no measure of anything here.
  const reply = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'tomas', password: PASSWORD }),
  });
  const cookie = (reply.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  const { token } = (await reply.json()) as SessionReply;
  const times: number[] = [];
  let taken = 0;
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      await wait((client * EVERY_MS) / CLIENTS);
      for (let nth = 0; nth < (SECONDS * 1000) / EVERY_MS; nth += 1) {
        const from = performance.now();
        const item = cableProcedure.items[nth % cableProcedure.items.length]!;
        const sent = await fetch(`${address}/api/jobs/job${client}/commands`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', cookie, [TOKEN_HEADER]: token },
          body: JSON.stringify(
            command(`c${client}-${nth}`, 'remark-item', { itemId: item.id, pocket: `P${nth}`, label: '', remark: '' }),
          ),
        });
        await sent.text();
        if (sent.status === 201) taken += 1;
        times.push(performance.now() - from);
        await wait(Math.max(0, EVERY_MS - (performance.now() - from)));
      }
    }),
  );
  server.closeAllConnections();
  server.close();
  const stored = db.prepare<[], { n: number }>("SELECT count(*) AS n FROM event WHERE type = 'item-remarked'").get()?.n;
  db.close();
  const expected = (CLIENTS * SECONDS * 1000) / EVERY_MS;
  const p99 = percentile(times, 0.99);
  const ratio = median(signing) / median(bare);
  return [
    {
      what: `${CLIENTS} signed-in clients, a command every 2 s for ${SECONDS} s: p99; taken and stored of ${expected}`,
      measured: `${ms(p99)}; ${taken} and ${stored}`,
      wanted: '< 250 ms, none lost or doubled',
      met: p99 < 250 && taken === expected && stored === expected,
    },
    {
      what: 'a sign-in, beside a bare hash of the same parameters',
      measured: `${ms(median(signing))}, ${ratio.toFixed(2)} × ${ms(median(bare))}`,
      wanted: '≤ 12 ×',
      met: ratio <= 12,
    },
  ];
}
