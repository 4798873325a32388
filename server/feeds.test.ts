import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { DueReply, FeedMade } from '../contract/index.ts';
import { calendarText } from './report/calendar.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeEach(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
});
afterEach(() => server.close());

const make = async (by: string, personId: string | null, status = 201): Promise<FeedMade> =>
  (await server.http.post('/api/feeds').send({ by, personId }).expect(status)).body as FeedMade;
/** Long lines of a calendar go on after a space. */
const textOf = async (path: string): Promise<string> =>
  (await server.http.get(path).expect(200)).text.replace(/\r\n[ \t]/g, '');

describe('a calendar', () => {
  it('of the shop shows promises, waits and what is due, each under an id that stays', async () => {
    await server
      .send('j', 'promise-ready', { ready: '2026-05-14T15:00:00.000Z', told: 'Thursday 16:00', why: '' })
      .expect(201);
    await server.send('j', 'start-timer', { id: 't', label: 'Valve soaks', minutes: 25, kind: 'soak' }).expect(201);
    const { path, feed } = await make('isla', null);
    expect(path).toMatch(/^\/api\/calendars\/[\w-]{40,}\.ics$/);
    const reply = await server.http
      .get(path)
      .expect(200)
      .expect('content-type', /text\/calendar/);
    expect(reply.headers['cache-control']).toBe('no-store');
    const text = await textOf(path);
    expect(text).toMatch(/^BEGIN:VCALENDAR/);
    expect(text).toContain('X-WR-CALNAME:Tern Quay Garage');
    expect(text).toMatch(
      /UID:promise-j\r\n[\s\S]*?DTSTART:20260514T150000Z\r\nDTEND:20260514T151500Z\r\nSUMMARY:TQ 417 promised/,
    );
    expect(text).toMatch(/UID:wait-j-t\r\n[\s\S]*?SUMMARY:TQ 417: Valve soaks/);
    const rows = (await server.http.get('/api/feeds').expect(200)).body.rows as object[];
    expect(rows).toEqual([{ ...feed, readAt: NOW }]);
  });

  it('of the shop shows when vehicles are likely due by their own use, unless that is refused or one stands here', async () => {
    const send = (type: string, data: object) =>
      server.send('old', type, data, { at: '2023-05-01T09:00:00.000Z', by: 'isla' }).expect(201);
    await send('open-job', {
      vehicleId: 'farm',
      reading: { value: 150_000, unit: 'km' },
      readingReason: '',
      complaint: 'x',
    });
    await send('decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] });
    await send('hand-over', { watch: '', nextDue: null, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' });
    const { path } = await make('isla', null);
    const [due] = ((await server.http.get('/api/due?weeks=520').expect(200)).body as DueReply).rows;
    expect(due).toMatchObject({ vehicleId: 'farm' });
    server.db.prepare("UPDATE visit SET closed_at = '2020-01-01T10:00:00.000Z', opened_at = '2020-01-01T09:00:00.000Z' WHERE job_id = 'old'").run(); // prettier-ignore
    const overdue = await textOf(path);
    // It should have been long ago: it stands on today.
    expect(overdue).toMatch(
      /UID:likely-due-farm\r\n[\s\S]*?DTSTART;VALUE=DATE:20260513\r\n[\s\S]*?SUMMARY:[^\r]*: throttle likely due/,
    );
    const say = (answer: object) => server.http.put('/api/due/farm').send({ by: 'isla', note: '', until: null, ...answer }).expect(200); // prettier-ignore
    await say({ answer: 'put-off', until: '2026-09-01' });
    expect(await textOf(path)).toMatch(/UID:likely-due-farm\r\n[\s\S]*?DTSTART;VALUE=DATE:20260901/);
    await say({ answer: 'not-wanted' });
    expect(await textOf(path)).not.toContain('likely-due-farm');
    await say({ answer: null });
    await server.send('now', 'open-job', { vehicleId: 'farm', reading: { value: 260_000, unit: 'km' }, readingReason: '', complaint: 'x' }).expect(201); // prettier-ignore
    expect(await textOf(path)).not.toContain('likely-due-farm');
  });

  it('of a person shows what they have in hand by the plan, and nothing that is done', async () => {
    const block = (stretch: string, personId: string) => ({
      jobId: 'j',
      stretch,
      kind: 'hands',
      from: NOW,
      to: '2026-05-13T13:49:00.000Z',
      personId,
    });
    await server.http
      .put('/api/day/plan')
      .send({ by: 'isla', seen: 0, blocks: [block('strip', 'wen'), block('gone', 'wen'), block('refit', 'tomas')] })
      .expect(200);
    const text = await textOf((await make('wen', 'wen')).path);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    expect(text).toContain('SUMMARY:TQ 417: strip');
    expect(text).toContain('Wen Okafor');
  });

  it('of others is given out by those who answer for the shop, and of nobody who is not here', async () => {
    await make('wen', null, 403);
    await make('wen', 'tomas', 403);
    await make('isla', 'tomas');
    await make('isla', 'nobody', 400);
  });

  it('leads nowhere with a wrong token, half a token, or once it was withdrawn', async () => {
    const { path, feed } = await make('wen', 'wen');
    await server.http.get(`/api/calendars/${'x'.repeat(43)}.ics`).expect(404);
    await server.http.get('/api/calendars/short.ics').expect(400);
    await server.http.get(path.slice(0, -4)).expect(400);
    await server.http.post(`/api/feeds/${feed.id}/withdraw`).send({ by: 'tomas' }).expect(403);
    await server.http.post(`/api/feeds/${feed.id}/withdraw`).send({ by: 'wen' }).expect(200, { rows: [] });
    const gone = await server.http.get(path).expect(404);
    expect(gone.body.error.message).toContain('withdrawn');
    await server.http.post(`/api/feeds/${feed.id}/withdraw`).send({ by: 'wen' }).expect(404);
    // Of the token only a hash was kept.
    const token = path.slice('/api/calendars/'.length, -4);
    expect(JSON.stringify(server.db.prepare('SELECT * FROM feed').all())).not.toContain(token);
    expect(server.db.prepare('SELECT kind FROM access_line WHERE subject = ?').all(feed.id)).toEqual([
      { kind: 'link-made' },
      { kind: 'link-withdrawn' },
    ]);
  });

  it('writes whole days as days, and escapes what the format means otherwise', () => {
    const text = calendarText('Quay; bay, 1', [{ id: 'd', title: 'a, b; c\nd', about: '', day: '2026-05-14' }], NOW);
    expect(text).toContain('DTSTART;VALUE=DATE:20260514');
    expect(text).toContain('SUMMARY:a\\, b\\; c\\nd');
    expect(text).toContain('X-WR-CALNAME:Quay\\; bay\\, 1');
  });
});
