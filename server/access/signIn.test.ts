import { pino } from 'pino';
import supertest from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { AccessLine, SessionReply } from '../../contract/index.ts';
import { createApp } from '../app.ts';
import { checkDatabase } from '../keeping/verify/database.ts';
import { createServices } from '../services.ts';
import { type Harness, harness } from '../testing/harness.ts';
import { type Browser, browserOf, passwordOf, PIN, signedIn, withAccounts } from '../testing/signedIn.ts';
import { PIN_DAYS, WRONG_PASSWORDS, WRONG_PINS } from './accounts.ts';
import { hashSecret, isSecret, tokenHash } from './secrets.ts';
import { IDLE_MS, SHIFT_MS } from './sessions.ts';

let server: Harness;
let now = Date.parse('2026-05-13T08:00:00.000Z');
const at = (): string => new Date(now).toISOString();
const pass = (ms: number): void => void (now += ms);

beforeEach(async () => {
  now = Date.parse('2026-05-13T08:00:00.000Z');
  server = await harness({ now: at });
});
afterEach(() => server.close());

const lines = (): AccessLine[] => server.services.access.record.page(undefined, 100);
const code = (reply: { body: { error?: { code: string } } }): string => reply.body.error?.code ?? '';
/** A browser that a lead has made a station. */
async function station(name = 'tablet at bay 1'): Promise<Browser> {
  const browser = await signedIn(server, 'isla');
  await browser.send('post', '/stations', { name }).expect(201);
  return browser;
}
async function session(browser: Browser): Promise<SessionReply> {
  return (await browser.send('get', '/session').expect(200)).body as SessionReply;
}
async function hands(browser: Browser, personId: string, pin = PIN) {
  const reply = await browser.send('post', '/session/hands', { personId, pin });
  if (reply.status === 201) browser.session = reply.body as SessionReply;
  return reply;
}

describe('a shop without accounts', () => {
  it('is open on its machine, and begins with the password of whoever answers for it', async () => {
    const browser = browserOf(server);
    expect(await session(browser)).toMatchObject({ open: true, person: null, hands: [] });
    await browser.send('get', '/bay').expect(200);
    const first = (personId: string, by: string) =>
      browser.send('put', `/people/${personId}/password`, { by, password: passwordOf(personId) });
    expect(code(await first('tomas', 'tomas').expect(403))).toBe('not-yours');
    expect(code(await first('tomas', 'isla').expect(400))).toBe('bad-value');
    await first('isla', 'isla').expect(200);
    // Whoever set it is in by it, and nobody else.
    await browser.send('get', '/bay').expect(200);
    expect(await session(browser)).toMatchObject({ open: false, person: { id: 'isla' }, way: 'password' });
    expect(code(await browserOf(server).send('get', '/bay').expect(401))).toBe('not-signed-in');
    expect(lines().map(({ kind, by, subject }) => [kind, by, subject])).toEqual([
      ['signed-in', 'isla', 'isla'],
      ['password-set', 'isla', 'isla'],
    ]);
  });

  it('takes no password that is short, and no PIN that anybody would try', async () => {
    const put = (password: string) => server.http.put('/api/people/isla/password').send({ by: 'isla', password });
    expect((await put('short').expect(400)).body.error.fields.password).toContain('at least 10');
    await withAccounts(server);
    const isla = await signedIn(server, 'isla');
    for (const pin of ['1111', '1234', '9876', '12', '123456789', 'abcd'])
      await isla.send('put', '/people/isla/pin', { password: passwordOf('isla'), pin }).expect(400);
    await isla.send('put', '/people/isla/pin', { password: passwordOf('isla'), pin: '2580' }).expect(200);
    expect(code(await isla.send('put', '/people/wen/pin', { password: passwordOf('isla'), pin: '2580' }))).toBe(
      'not-yours',
    );
    expect(code(await isla.send('put', '/people/isla/pin', { password: 'wrong', pin: '2580' }))).toBe('not-let-in');
  });
});

describe('a store that can only be read', () => {
  it('is looked at without a sign-in, which would have to be written down', async () => {
    await withAccounts(server);
    const services = createServices(server.db, server.folder, at, 'Europe/London', undefined, { readOnly: true });
    server.db.pragma('query_only = ON');
    const http = supertest(createApp(services, pino({ level: 'silent' }), null));
    expect((await http.get('/api/session').expect(200)).body).toMatchObject({ open: true, person: null });
    await http.get('/api/bay').expect(200);
    server.db.pragma('query_only = OFF');
  });
});

describe('signing in', () => {
  beforeEach(() => withAccounts(server, ['tomas', 'wen', 'isla']));

  it('takes a name in full, the first where it is clear, whatever its capitals, and says the same of all that is wrong', async () => {
    const tried = (name: string, password = passwordOf('tomas')) =>
      server.http.post('/api/session').send({ name, password });
    for (const name of ['Tomas Virk', 'tomas', 'TOMAS']) await tried(name).expect(201);
    const answers = [await tried('Tomas Virk', 'wrong'), await tried('Nobody At All'), await tried('')];
    expect(answers.map(({ status }) => status)).toEqual([401, 401, 400]);
    expect(new Set(answers.slice(0, 2).map(({ body }) => JSON.stringify(body))).size).toBe(1);
  });

  it('gives a cookie that no page reads and no other site sends, and keeps only its hash', async () => {
    const reply = await server.http
      .post('/api/session')
      .send({ name: 'tomas', password: passwordOf('tomas') })
      .expect(201);
    const [cookie = ''] = reply.get('set-cookie') ?? [];
    expect(cookie).toMatch(/^wrench-session=.*Path=\/api;.*HttpOnly; SameSite=Strict$/);
    const stored = server.db.prepare('SELECT * FROM session').get() as Record<string, string>;
    const id = decodeURIComponent(cookie.slice('wrench-session='.length)).slice(2).split('.')[0] ?? '';
    expect(stored.id_hash).toBe(tokenHash(id));
    expect(JSON.stringify(stored)).not.toContain(id);
  });

  it('takes another session id than the one that was there before', async () => {
    const browser = await signedIn(server, 'tomas');
    const { stretch } = browser.session;
    await browser.signIn('tomas');
    expect(browser.session.stretch).not.toBe(stretch);
  });

  it('ends after a shift, after long idleness, and for one who has left', async () => {
    const browser = await signedIn(server, 'tomas');
    pass(IDLE_MS - 60_000);
    await browser.send('get', '/bay').expect(200);
    pass(IDLE_MS - 60_000);
    await browser.send('get', '/bay').expect(200);
    pass(IDLE_MS + 60_000);
    await browser.send('get', '/bay').expect(401);
    const shift = await signedIn(server, 'tomas');
    for (let h = 0; h < 6; h += 1) {
      await shift.send('get', '/bay').expect(200);
      pass(SHIFT_MS / 6);
    }
    await shift.send('get', '/bay').expect(401);
    const gone = await signedIn(server, 'tomas');
    const isla = await signedIn(server, 'isla');
    await isla.send('post', '/people/tomas/leave', { by: 'isla', to: null }).expect(200);
    await gone.send('get', '/bay').expect(401);
    await server.http
      .post('/api/session')
      .send({ name: 'tomas', password: passwordOf('tomas') })
      .expect(401);
    expect(lines().some(({ kind, subject }) => kind === 'left' && subject === 'tomas')).toBe(true);
  });

  it('is gone once somebody signs out, here or everywhere, and its cookie is worth nothing any more', async () => {
    const [here, there] = [await signedIn(server, 'tomas'), await signedIn(server, 'tomas')];
    await here.send('delete', '/session').expect(200);
    await here.send('get', '/bay').expect(401);
    await there.send('get', '/bay').expect(200);
    const third = await signedIn(server, 'tomas');
    await third.send('post', '/session/everywhere').expect(200);
    for (const browser of [there, third]) await browser.send('get', '/bay').expect(401);
    expect(lines()[0]).toMatchObject({ kind: 'signed-out-everywhere', by: 'tomas' });
  });

  it('needs the token of the page that is open: one of before, or of nobody, changes nothing', async () => {
    const browser = await signedIn(server, 'tomas');
    const { token } = browser.session;
    const open = (withToken: string) =>
      browser.agent
        .post('/api/jobs/j/commands')
        .set('x-wrench-token', withToken)
        .send({
          id: `c-${withToken.length}`,
          at: at(),
          by: 'tomas',
          seen: 0,
          type: 'open-job',
          data: { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'Hunts.' },
        });
    expect(code(await open('').expect(403))).toBe('bad-token');
    await browser.signIn('tomas');
    expect(code(await open(token).expect(403))).toBe('bad-token');
    await open(browser.session.token).expect(201);
  });

  it('locks an account after ten wrong passwords, until a lead opens it; the right one does not help meanwhile', async () => {
    const tried = (password: string) => server.http.post('/api/session').send({ name: 'tomas', password });
    const { accounts } = server.services.access;
    for (let nth = 1; nth < WRONG_PASSWORDS; nth += 1) accounts.wrong('tomas', 'password', at());
    await tried('still wrong').expect(401);
    expect(code(await tried(passwordOf('tomas')).expect(423))).toBe('locked');
    const isla = await signedIn(server, 'isla');
    const { body } = await isla.send('get', '/access-lines').expect(200);
    expect(body.accounts).toContainEqual({ personId: 'tomas', hasPin: true, locked: true });
    await isla.send('post', '/people/tomas/unlock', {}).expect(200);
    await tried(passwordOf('tomas')).expect(201);
    expect(lines().map(({ kind }) => kind)).toEqual(expect.arrayContaining(['locked', 'unlocked', 'not-let-in']));
  });

  it('is tried ten times a minute from one place, and not more', async () => {
    const tried = () => server.http.post('/api/session').send({ name: 'nobody at all', password: 'wrong wrong' });
    for (let nth = 0; nth < 10; nth += 1) await tried().expect(401);
    expect(code(await tried().expect(429))).toBe('too-many');
    // Another name is another try.
    await signedIn(server, 'isla');
  });

  it('takes a new password from its own person with the one so far, and from a lead; other browsers are out then', async () => {
    const [here, there] = [await signedIn(server, 'tomas'), await signedIn(server, 'tomas')];
    const password = 'four new words here';
    expect(code(await here.send('put', '/people/tomas/password', { password, current: 'wrong' }))).toBe('not-let-in');
    await here.send('put', '/people/tomas/password', { password, current: passwordOf('tomas') }).expect(200);
    await here.send('get', '/bay').expect(200);
    await there.send('get', '/bay').expect(401);
    expect(code(await here.send('put', '/people/wen/password', { password }))).toBe('not-yours');
    const isla = await signedIn(server, 'isla');
    await isla.send('put', '/people/tomas/password', { password: 'set by the lead' }).expect(200);
    await here.send('get', '/bay').expect(401);
  });

  it('keeps somebody who can let the others in: the last of them neither leaves nor becomes something else', async () => {
    server.services.access.accounts.remove('marit');
    const isla = await signedIn(server, 'isla');
    expect(
      (await isla.send('post', '/people/isla/leave', { by: 'isla', to: null }).expect(400)).body.error.message,
    ).toContain('who can sign in');
    const person = { name: 'Isla Renn', role: 'technician', bay: '' };
    await isla.send('put', '/people/isla', { by: 'isla', person }).expect(400);
  });
});

describe('what somebody is', () => {
  beforeEach(() => withAccounts(server));

  it('is looked up at each request: a role that is taken away in the middle of a job holds at once', async () => {
    const [isla, tomas] = [await signedIn(server, 'isla'), await signedIn(server, 'tomas')];
    await tomas.send('put', '/units/x', {}).expect(400);
    await isla
      .send('put', '/people/tomas', { by: 'isla', person: { name: 'Tomas Virk', role: 'parts', bay: '' } })
      .expect(200);
    await tomas.send('put', '/units/x', {}).expect(403);
    expect(lines()[0]).toMatchObject({ kind: 'role-changed', by: 'isla', subject: 'tomas' });
  });

  it('is of whoever is signed in, whatever the request says', async () => {
    const tomas = await signedIn(server, 'tomas');
    const rule = await tomas.send('put', '/house-rules/where', { by: 'isla', school: 'off' });
    expect([rule.status, code(rule)]).toEqual([403, 'not-yours']);
    const open = await tomas.send('post', '/jobs/j/commands', {
      id: 'c',
      at: at(),
      by: 'isla',
      seen: 0,
      type: 'make-note',
      data: { id: 'n', stage: 'strip', text: 'x' },
    });
    expect([open.status, code(open)]).toEqual([403, 'somebody-else']);
  });

  it('lets the parts counter tick what came, and no more', async () => {
    const pia = await signedIn(server, 'pia');
    const tomas = await signedIn(server, 'tomas');
    const opened = {
      id: 'o',
      at: at(),
      by: 'tomas',
      seen: 0,
      type: 'open-job',
      data: { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'Hunts.' },
    };
    await tomas.send('post', '/jobs/j/commands', opened).expect(201);
    const send = (id: string, type: string, data: object) =>
      pia.send('post', '/jobs/j/commands', { id, at: at(), by: 'pia', seen: 0, type, data });
    await send('n', 'make-note', { id: 'n', stage: 'prepare', text: 'gasket is here' }).expect(201);
    expect(code(await send('d', 'pass-stage', { stage: 'complaint' }).expect(403))).toBe('not-yours');
  });
});

describe('a station', () => {
  beforeEach(() => withAccounts(server, ['tomas', 'wen']));

  it('takes PINs once a lead has made it one, and nobody else does', async () => {
    const tomas = await signedIn(server, 'tomas');
    expect(code(await hands(tomas, 'wen'))).toBe('no-station');
    expect(code(await tomas.send('post', '/stations', { name: 'mine' }).expect(403))).toBe('not-yours');
    const tablet = await station();
    expect((await session(tablet)).hands.map(({ id }) => id)).toEqual(['tomas', 'wen']);
    expect((await hands(tablet, 'wen')).body).toMatchObject({ way: 'pin', person: { id: 'wen' } });
    expect(lines()[0]).toMatchObject({ kind: 'changed-hands', by: 'wen', place: (await session(tablet)).station?.id });
  });

  it('takes no wrong PIN, none that was used up, and none that is too old', async () => {
    const tablet = await station();
    for (let nth = 0; nth < WRONG_PINS; nth += 1) expect(code(await hands(tablet, 'wen', '9753'))).toBe('not-let-in');
    expect(code(await hands(tablet, 'wen'))).toBe('pin-used-up');
    // The password makes up for it.
    await tablet.signIn('wen');
    expect((await hands(tablet, 'wen')).status).toBe(201);
    pass((PIN_DAYS + 1) * 86_400_000);
    const later = await station('later');
    expect(code(await hands(later, 'tomas'))).toBe('pin-too-old');
    expect(code(await hands(later, 'isla'))).toBe('not-let-in');
  });

  it('that is lost is struck out: whoever was at it is out, and no PIN counts there', async () => {
    const tablet = await station();
    await hands(tablet, 'wen');
    const { station: own } = await session(tablet);
    const isla = await signedIn(server, 'isla');
    await isla.send('post', `/stations/${own!.id}/strike`, {}).expect(200);
    await tablet.send('get', '/bay').expect(401);
    expect(await session(tablet)).toMatchObject({ station: null, hands: [], person: null });
    expect(code(await hands(tablet, 'wen'))).toBe('no-station');
    expect(code(await isla.send('post', `/stations/${own!.id}/strike`, {}).expect(404))).toBe('no-such-station');
    expect(lines()[0]).toMatchObject({ kind: 'station-struck', by: 'isla', subject: own!.id });
  });

  it('vouches for who was at it: what waited there keeps its name, and only for the stretch it was made in', async () => {
    const tablet = await station();
    await hands(tablet, 'tomas');
    const { stretch } = tablet.session;
    const madeAt = at();
    pass(3_600_000);
    await hands(tablet, 'wen');
    const send = (id: string, by: string, madeThen: string, as = stretch) =>
      tablet
        .send('post', '/jobs/j/commands')
        .set('x-wrench-stretch', as)
        .send({
          id,
          at: madeThen,
          by,
          seen: 0,
          late: 'kept',
          type: 'open-job',
          data: { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'Hunts.' },
        });
    expect(code(await send('a', 'isla', madeAt).expect(403))).toBe('somebody-else');
    expect(code(await send('b', 'tomas', '2026-05-13T07:00:00.000Z').expect(403))).toBe('somebody-else');
    expect(code(await send('c', 'tomas', madeAt, 'no-such-stretch').expect(403))).toBe('somebody-else');
    await send('d', 'tomas', madeAt).expect(201);
    expect(server.db.prepare("SELECT DISTINCT person FROM event WHERE job_id = 'j'").all()).toEqual([
      { person: 'tomas' },
    ]);
    // What is one's own goes whenever it was made, also after the shift in which it was.
    await send('own', 'wen', '2026-05-13T07:00:00.000Z', 'a-stretch-of-before').expect(409);
    // Another browser, with the same words, is not that station.
    const elsewhere = await signedIn(server, 'isla');
    const reply = await elsewhere
      .send('post', '/jobs/j/commands')
      .set('x-wrench-stretch', stretch)
      .send({
        id: 'e',
        at: madeAt,
        by: 'tomas',
        seen: 0,
        type: 'make-note',
        data: { id: 'n', stage: 'strip', text: 'x' },
      });
    expect(code(reply)).toBe('somebody-else');
  });
});

describe('a countersignature at the station', () => {
  it('is given by PIN without a change of hands, once, and by nobody who may not', async () => {
    await withAccounts(server, ['tomas', 'wen']);
    const tablet = await station();
    await hands(tablet, 'wen');
    const opened = await tablet.send('post', '/jobs/j/commands', {
      id: 'o',
      at: at(),
      by: 'wen',
      seen: 0,
      type: 'open-job',
      data: { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'Hunts.' },
    });
    expect(opened.status).toBe(201);
    const sign = (personId: string, secret: string, id = 's') =>
      tablet.send('post', '/jobs/j/countersign', {
        personId,
        secret,
        command: { id, at: at(), seen: 0, data: { seqs: [], handOver: true } },
      });
    expect(code(await sign('tomas', '0864').expect(401))).toBe('not-let-in');
    expect(code(await sign('wen', PIN).expect(403))).toBe('lead-only');
    await sign('tomas', PIN).expect(201);
    await sign('tomas', PIN).expect(200);
    expect((await session(tablet)).person?.id).toBe('wen');
    expect(server.db.prepare("SELECT person FROM event WHERE job_id = 'j' AND type = 'countersigned'").all()).toEqual([
      { person: 'tomas' },
    ]);
    expect(lines().filter(({ kind }) => kind === 'countersigned')).toHaveLength(1);
    // Elsewhere than at a station a PIN is too short.
    const browser = await signedIn(server, 'wen');
    const by = (secret: string) =>
      browser.send('post', '/jobs/j/countersign', {
        personId: 'tomas',
        secret,
        command: { id: `t-${secret.length}`, at: at(), seen: 0, data: { seqs: [], handOver: true } },
      });
    await by(PIN).expect(401);
    await by(passwordOf('tomas')).expect(201);
  });
});

describe('the access record', () => {
  it('cannot be edited by the program, and shows when it was by other means', async () => {
    await withAccounts(server);
    await signedIn(server, 'isla');
    await signedIn(server, 'tomas');
    expect(() => server.db.prepare("UPDATE access_line SET person = 'wen'").run()).toThrow('never changed');
    expect(() => server.db.prepare('DELETE FROM access_line').run()).toThrow('never taken out');
    const { record } = server.services.access;
    expect(record.brokenAt()).toBeNull();
    server.db.exec('DROP TRIGGER access_line_stays');
    server.db.prepare("UPDATE access_line SET person = 'wen' WHERE seq = 1").run();
    expect(record.brokenAt()).toBe(1);
    const found = checkDatabase(server.db, { witnesses: [], machineZone: 'Europe/London', progress: () => undefined });
    expect(found.map(({ words }) => words).join()).toContain('who was let in breaks at line 1');
  });
});

describe('what is kept of a secret', () => {
  it('is Argon2id with the parameters that are named, and no two are the same', async () => {
    const [one, other] = await Promise.all([hashSecret('a long password'), hashSecret('a long password')]);
    expect(one).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(one).not.toBe(other);
    expect(await isSecret(one, 'a long password')).toBe(true);
    // The same letters however they were put in: composed, and of two signs.
    expect(await isSecret(await hashSecret('Zoë has long hair'), 'Zoe\u0308 has long hair')).toBe(true);
    expect(await isSecret(one, 'a long passwork')).toBe(false);
    expect(await isSecret(null, 'a long password')).toBe(false);
  });
});
