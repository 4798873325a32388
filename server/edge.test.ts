import { createServer, type Server } from 'node:net';
import { gzipSync } from 'node:zlib';
import type { Router } from 'express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { AdapterHub } from './adapter/hub.ts';
import { Reader } from './adapter/reader.ts';
import { BODIES, fingerprintOf, ROUTES, sendBody } from './testing/badBodies.ts';
import { type Harness, harness, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
});
afterAll(() => server.close());

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle?: Partial<Router>;
  readonly slash?: boolean;
  readonly matchers?: readonly ((path: string) => { path: string } | false)[];
}

const BOMB = gzipSync(Buffer.alloc(250_000_000, ' '));

const fingerprint = (): unknown => fingerprintOf(server.db);

describe('the edge of the API', () => {
  it('is tried at every route that takes a body', () => {
    // Routes without a body to speak of: pictures, recordings and tables have tests of their own, a backup needs nothing.
    const known = ROUTES.map(([method, path]) => `${method} ${path.split('?')[0]}`);
    const others = [
      'post /pictures',
      'post /recordings',
      'post /stock/table',
      'post /price-lists',
      'delete /price-lists/l',
      'post /backups',
      'delete /absences/a',
      'delete /wrenches/w',
      'delete /tools/t',
      'delete /vehicles/v',
      'delete /practice/jobs/p',
      'delete /practice/scenarios/s',
      // Who is signed in is in the cookie.
      'delete /session',
      'post /session/everywhere',
    ];
    const found = routesOf(server.app as unknown as { router: { stack: Layer[] } });
    expect(found.length).toBeGreaterThan(20);
    expect(found.filter((route) => ![...known, ...others].some((each) => fits(route, each)))).toEqual([]);
  });
  it.each(BODIES)('%s is refused in words at each, and changes nothing', async (_, headers, body, words) => {
    const before = fingerprint();
    for (const [method, path] of ROUTES) {
      const reply = await sendBody(server.http, method, path, headers, body);
      expect([path, reply.status >= 400 && reply.status < 500], reply.text.slice(0, 200)).toEqual([path, true]);
      expect([path, reply.body.error?.message]).toEqual([path, expect.stringMatching(words)]);
      expect(reply.body.error.message).not.toMatch(/undefined|node_modules|Error:/);
    }
    expect(fingerprint()).toEqual(before);
  });
  it('a bomb is refused by what it unpacks to, and says how much is taken', async () => {
    for (const [method, path] of ROUTES) {
      const { status, body } = await server.http[method](`/api${path}`)
        .set('content-type', 'application/json')
        .set('content-encoding', 'gzip')
        .serialize((raw: unknown) => raw as string)
        .send(BOMB as unknown as string);
      expect([path, status]).toEqual([path, 413]);
      expect(body.error.message).toMatch(/too large: at most (2\.1|52|210) MB are taken here/);
    }
  });
  it('an address that cannot be read is refused in words', async () => {
    const { body } = await server.http.get('/api/vehicles/%E0%A4%A').expect(400);
    expect(body.error.message).toBe('The address is not valid.');
  });
});

/** `put /vehicles/:id` for each route that changes something, however its part hangs. */
function routesOf({ router }: { router: { stack: Layer[] } }): string[] {
  const walk = (stack: readonly Layer[]): string[] =>
    stack.flatMap(({ route, handle }) => {
      if (route !== undefined)
        return ['post', 'put', 'delete', 'patch']
          .filter((method) => route.methods[method])
          .map((method) => `${method} ${route.path}`);
      const inner = (handle as { stack?: Layer[] } | undefined)?.stack;
      return inner === undefined ? [] : walk(inner);
    });
  return walk(router.stack);
}
/** Whether a route, known by its last part only, is one of those that are tried. */
function fits(route: string, tried: string): boolean {
  const [method = '', path = ''] = route.split(' ');
  const [triedMethod, triedPath = ''] = tried.split(' ');
  const pattern = path === '/' ? '' : path.replaceAll(/:\w+/g, '[^/]+');
  return method === triedMethod && new RegExp(`${pattern}$`).test(triedPath);
}

describe('the diagnostic adapter', () => {
  let stand: Server;
  let port = 0;
  const asked: string[] = [];
  beforeAll(async () => {
    stand = createServer((socket) => {
      asked.push('connected');
      socket.on('error', () => undefined);
      // A line that never ends.
      const timer = setInterval(() => socket.write('4'.repeat(2000)), 2);
      socket.on('close', () => clearInterval(timer));
    });
    await new Promise<void>((resolve) => stand.listen(0, '127.0.0.1', resolve));
    port = (stand.address() as { port: number }).port;
  });
  afterAll(() => stand.close());

  it('that sends a line without an end is hung up on, in words', async () => {
    const link = await new AdapterHub([port]).open(`tcp.${port}`);
    await expect(new Reader(link, { timeoutMs: 2000, retries: 0 }).vin()).rejects.toThrow(/a line that does not end/);
  });
  it('is knocked at only where the program was told to', async () => {
    const before = asked.length;
    await expect(new AdapterHub([]).open(`tcp.${port}`)).rejects.toThrow(/There is no adapter/);
    const { body } = await server.http
      .post('/api/adapter/read')
      .send({ link: `tcp.${port}`, codes: true, values: false })
      .expect(502);
    expect(body.error.message).toContain('There is no adapter');
    expect(asked.length).toBe(before);
  });
});
