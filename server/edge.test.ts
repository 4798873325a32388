import { createServer, type Server } from 'node:net';
import { gzipSync } from 'node:zlib';
import type { Router } from 'express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { AdapterHub } from './adapter/hub.ts';
import { Reader } from './adapter/reader.ts';
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

/** Where the routes of each part of the application hang, and what stands for their parameters. */
const ROUTES: readonly (readonly ['post' | 'put', string])[] = [
  ['post', '/job-files?by=isla'],
  ['post', '/jobs/j/commands'],
  ['put', '/vehicles/bus'],
  ['put', '/procedures/cable-rotary'],
  ['put', '/families/norrland-25'],
  ['put', '/units/bus-tb'],
  ['post', '/units/bus-tb/life'],
  ['post', '/knowledge'],
  ['post', '/adapter/read'],
  ['post', '/adapter/clear'],
  ['put', '/house-rules/where'],
  ['put', '/settings'],
  ['put', '/settings/measures'],
  ['put', '/stock/g-body'],
  ['post', '/stock/g-body/movements'],
  ['post', '/stock/g-body/orders'],
  ['post', '/orders/o/received'],
  ['put', '/references'],
  ['post', '/air'],
  ['put', '/air'],
  ['put', '/calendar'],
  ['put', '/shop?by=isla'],
  ['put', '/keeping'],
  ['post', '/procedures/files'],
  ['post', '/reminders/j/r/done'],
  ['post', '/returns/j/r/sent'],
];

/** Bodies that no route can read: how they are sent, and what the answer says. */
const BODIES: readonly (readonly [string, Readonly<Record<string, string>>, Buffer | string, RegExp])[] = [
  ['no body at all', {}, '', /Expected JSON|not in the list|expected/i],
  ['text', { 'content-type': 'text/plain' }, 'hello', /Expected JSON|not in the list/],
  ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, 'by=isla&a=1', /Expected JSON|not in the list/],
  ['JSON that is cut', { 'content-type': 'application/json' }, '{"by": "isla", ', /not valid JSON/],
  ['a list', { 'content-type': 'application/json' }, '[1, 2]', /./],
  ['a bare word', { 'content-type': 'application/json' }, '"isla"', /not valid JSON/],
  ['nothing known', { 'content-type': 'application/json' }, '{"by": "isla", "surprise": 1}', /./],
  ['a charset of another age', { 'content-type': 'application/json; charset=ebcdic' }, '{}', /character set/],
  [
    'a packing that nobody knows',
    { 'content-type': 'application/json', 'content-encoding': 'lzx' },
    '{}',
    /packed in a way/,
  ],
  [
    'rubbish said to be packed',
    { 'content-type': 'application/json', 'content-encoding': 'gzip' },
    'not packed',
    /cannot be unpacked/,
  ],
  [
    'rubbish said to be deflated',
    { 'content-type': 'application/json', 'content-encoding': 'deflate' },
    'xxxx',
    /cannot be unpacked/,
  ],
  [
    'rubbish said to be brotli',
    { 'content-type': 'application/json', 'content-encoding': 'br' },
    'yyyyyyyy',
    /cannot be unpacked/,
  ],
  [
    'a packed body that is cut',
    { 'content-type': 'application/json', 'content-encoding': 'gzip' },
    gzipSync('{"by": "isla"}').subarray(0, 18),
    /cannot be unpacked|ended before/,
  ],
  [
    'bytes that are no text',
    { 'content-type': 'application/json' },
    Buffer.from([0xff, 0xfe, 0x7b, 0x00]),
    /not valid JSON/,
  ],
];
const BOMB = gzipSync(Buffer.alloc(250_000_000, ' '));

const fingerprint = (): unknown =>
  ['event', 'audit', 'vehicle', 'stock_movement', 'setting', 'person'].map((table) =>
    server.db.prepare(`SELECT COUNT(*) AS n FROM ${table}`).get(),
  );

describe('the edge of the API', () => {
  it('is tried at every route that takes a body', () => {
    // Routes without a body to speak of: pictures and tables have tests of their own, a backup needs nothing.
    const known = ROUTES.map(([method, path]) => `${method} ${path.split('?')[0]}`);
    const others = ['post /pictures', 'post /stock/table', 'post /backups'];
    const found = routesOf(server.app as unknown as { router: { stack: Layer[] } });
    expect(found.length).toBeGreaterThan(20);
    expect(found.filter((route) => ![...known, ...others].some((each) => fits(route, each)))).toEqual([]);
  });
  it.each(BODIES)('%s is refused in words at each, and changes nothing', async (_, headers, body, words) => {
    const before = fingerprint();
    for (const [method, path] of ROUTES) {
      const request = server.http[method](`/api${path}`);
      for (const [name, value] of Object.entries(headers)) request.set(name, value);
      // A body that is a buffer is sent as it is, whatever it is said to be.
      const reply = await (body === ''
        ? request
        : request.serialize((raw: unknown) => raw as string).send(body as string));
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
      expect(body.error.message).toMatch(/too large: at most (2\.1|210) MB are taken here/);
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
