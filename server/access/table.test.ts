import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { API, FILE_ROUTES } from '../http/api.ts';
import { type Harness, harness } from '../testing/harness.ts';
import { type Browser, browserOf, signedIn, withAccounts } from '../testing/signedIn.ts';
import { ACCESS, type Caller, ruleFor } from './table.ts';

/** Somebody of each role. */
const BY_ROLE = { lead: 'isla', technician: 'tomas', apprentice: 'wen', owner: 'marit', parts: 'pia' } as const;
const ROLES = Object.keys(BY_ROLE) as (keyof typeof BY_ROLE)[];
/** What the gate says to those whom it does not let through; what a route says beyond is the route's. */
const HELD = new Set(['not-signed-in', 'not-yours', 'bad-token']);

let server: Harness;
const browsers = new Map<Caller, Browser>();

beforeAll(async () => {
  server = await harness();
  await withAccounts(server);
  for (const role of ROLES) browsers.set(role, await signedIn(server, BY_ROLE[role]));
  browsers.set('anybody', browserOf(server));
  const { body } = await browsers.get('lead')!.send('post', '/jobs/bus-job/commands', {
    id: 'open',
    at: server.services.now(),
    by: 'isla',
    seen: 0,
    type: 'open-job',
    data: { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'Hunts.' },
  });
  expect(body).toMatchObject({ jobId: 'bus-job' });
  const made = await browsers.get('technician')!.send('post', '/jobs/bus-job/phones', {}).expect(201);
  const phone = browserOf(server);
  const joined = await phone.agent
    .post('/api/phones')
    .send({ token: (made.body as { path: string }).path.split('/').at(-1) })
    .expect(201);
  phone.session = { token: (joined.body as { token: string }).token } as never;
  browsers.set('phone', phone);
});
afterAll(() => server.close());

/** Every route of the application, as its routers declare it. */
function routes(): string[] {
  return [...FILE_ROUTES, ...API].flatMap(([mount, make]) =>
    (make(server.services).stack as unknown as readonly Layer[]).flatMap(({ route }) =>
      route === undefined
        ? []
        : Object.keys(route.methods).map(
            (method) => `${method.toUpperCase()} ${`${mount === '/' ? '' : mount}${route.path}`.replace(/\/$/, '')}`,
          ),
    ),
  );
}
interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
}

describe('the table of who may', () => {
  it('names every route of the application, and no other', () => {
    const named = ACCESS.map(({ method, path }) => `${method} ${path}`);
    expect(named.toSorted()).toEqual([...new Set(routes())].toSorted());
    expect(new Set(named).size).toBe(named.length);
  });

  it('goes by the address that is named word for word before one with a parameter', () => {
    expect(ruleFor('GET', '/stock/outlook')?.path).toBe('/stock/outlook');
    expect(ruleFor('GET', '/stock/g-body')?.path).toBe('/stock/:id');
    expect(ruleFor('HEAD', '/bay')?.path).toBe('/bay');
    expect(ruleFor('PATCH', '/bay')).toBeNull();
    expect(ruleFor('GET', '/nowhere')).toBeNull();
  });

  // The stream of changes never ends by itself; the same gate stands before it, and a story of its own listens to it.
  const ENDLESS = new Set(['/changes', '/instruments/:id/readings', '/adapter/recordings/:id/news']);
  /** These end the session that asks; what they do is tested beside the sign-in. */
  const ENDING = new Set(['DELETE /session', 'POST /session/everywhere']);
  const asked = ACCESS.filter(({ path, method }) => !ENDLESS.has(path) && !ENDING.has(`${method} ${path}`));

  describe.each(['anybody', 'phone', ...ROLES] as const)('%s', (caller) => {
    it.each(asked.map((rule) => [`${rule.method} ${rule.path}`, rule] as const))('%s', async (_, rule) => {
      const browser = browsers.get(caller)!;
      const path = rule.path.replace(/:\w+/g, 'nobody-has-this');
      const { body, status } = (await browser.send(
        rule.method.toLowerCase() as 'get',
        path,
        rule.method === 'GET' ? undefined : {},
      )) as { body: { error?: { code: string } }; status: number };
      const may = rule.may.has(caller) || rule.may.has('anybody');
      const held = HELD.has(body.error?.code ?? '');
      expect([held, status]).toEqual([!may, may ? expect.any(Number) : caller === 'anybody' ? 401 : 403]);
    });
  });

  it.each([...ENDLESS])('lets nobody listen to %s who is not signed in, and no phone', async (path) => {
    for (const [caller, status] of [
      ['anybody', 401],
      ['phone', 403],
    ] as const)
      await browsers.get(caller)!.send('get', path.replace(/:\w+/g, 'x')).expect(status);
  });

  it('answers nobody at an address that is not in it', async () => {
    await browsers.get('anybody')!.send('get', '/nowhere').expect(401);
    await browsers.get('lead')!.send('get', '/nowhere').expect(404);
  });
});
