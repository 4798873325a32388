import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Knowledge } from '../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../core/diagnose/knowledge/index.ts';
import { diagnoseJob, subjectOf } from '../core/job/index.ts';
import { createServices } from './services.ts';
import { openStore } from './store/open.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

const DAY = 86_400_000;
const ago = (days: number): { at: string } => ({ at: new Date(Date.parse(NOW) - days * DAY).toISOString() });
const eventsOf = async (jobId: string): Promise<{ type: string; data: Record<string, unknown> }[]> =>
  (await server.http.get(`/api/jobs/${jobId}`).expect(200)).body.events;

describe('what was done here before', () => {
  const found = async (id: string) =>
    (await eventsOf(id)).find(({ type }) => type === 'earlier-work-found')?.data['works'];
  beforeAll(async () => {
    const when = ago(100);
    const body = { vehicleId: 'bus', reading: { value: 148_000, unit: 'km' }, readingReason: '' };
    await server.send('past', 'open-job', { ...body, complaint: 'Hunts when cold.' }, when).expect(201);
    await server
      .send('past', 'decide', { choice: 'clean-bench', reason: 'ring', departure: '', options: [] }, when)
      .expect(201);
    const over = { watch: '', nextDue: null, labourMinutes: 60, ratePerHourMinor: 5800, currency: 'cr' };
    await server.send('past', 'hand-over', over, when).expect(201);
  });
  const openedLater = async (id: string, complaint: string, km: number, days: number) => {
    const data = { vehicleId: 'bus', reading: { value: km, unit: 'km' }, readingReason: '', complaint };
    await server.send(id, 'open-job', data, ago(days)).expect(201);
    return found(id);
  };
  it('did not help when the same complaint is back within the shop’s days and distance', async () => {
    expect(await openedLater('soon', 'It hunts again at idle.', 149_500, 60)).toEqual([
      {
        jobId: 'past',
        number: 228,
        option: 'clean-bench',
        helped: false,
        ago: { km: 1500, h: null, days: 40 },
      },
    ]);
  });
  it('held when it comes back long after, and says nothing of another complaint', async () => {
    expect(await openedLater('late', 'It hunts again at idle.', 158_500, 5)).toMatchObject([{ helped: true }]);
    expect(await openedLater('other', 'The pedal is heavy.', 158_600, 4)).toBeUndefined();
  });
  it('reaches as far as the shop says', async () => {
    const { settings } = (await server.http.get('/api/shop')).body;
    const comebackWithin = { days: 400, km: 20_000, h: 100 };
    await server.http
      .put('/api/settings')
      .send({ by: 'marit', settings: { ...settings, comebackWithin } })
      .expect(200);
    expect(await openedLater('wide', 'It hunts again at idle.', 158_700, 3)).toMatchObject([{ helped: false }]);
    await server.http.put('/api/settings').send({ by: 'marit', settings }).expect(200);
  });
});

describe('what is told at the counter', () => {
  it('is weighed when the job is opened: findings, codes, figures and what was tried', async () => {
    await openJob(server, 'told', {
      reading: { value: 158_900, unit: 'km' },
      complaint: 'Idles at 450, P0506. We had the throttle cleaned last week and it did not help.',
    }).expect(201);
    const job = server.services.jobs.job('told');
    expect(job?.codes).toMatchObject([{ code: 'P0506', status: 'stored', when: 'before' }]);
    expect(job?.signs).toEqual(
      expect.arrayContaining([expect.objectContaining({ sign: 'idle-speed', outcome: 'low', source: 'said' })]),
    );
    expect(job?.attempts).toMatchObject([{ helped: false, ago: { days: 7 } }]);
  });
});

describe('a change of the knowledge that is only tried', () => {
  it('says which past jobs would lead elsewhere, and keeps nothing', async () => {
    await openJob(server, 'tried', { reading: { value: 159_000, unit: 'km' }, complaint: 'Hunts.' }).expect(201);
    const { job, family } = { job: server.services.jobs.job('tried')!, family: server.services.families };
    const subject = subjectOf(job, family.get(job.vehicle.familyId ?? null));
    const leads = (knowledge: Knowledge) =>
      diagnoseJob(job, knowledge, family.get(job.vehicle.familyId ?? null)).ranking.causes[0]!.cause;
    const lead = leads(SHIPPED_KNOWLEDGE);
    const edits = [{ kind: 'common', cause: lead, group: subject.group, to: 'rare' }];
    const reply = await server.http.post('/api/knowledge/trials').send({ by: 'isla', edits }).expect(200);
    const name = (id: string): string => SHIPPED_KNOWLEDGE.causes.find((cause) => cause.id === id)!.name;
    expect(reply.body.jobs).toBeGreaterThanOrEqual(7);
    const changed = reply.body.changed.find(({ jobId }: { jobId: string }) => jobId === 'tried');
    expect(changed).toMatchObject({ number: job.number, plate: 'TQ 417', before: { name: name(lead) } });
    expect(changed.after.name).not.toBe(name(lead));
    expect((await server.http.get('/api/knowledge/newest')).body.version).toBe(1);
  });
  it('is for those who may change it, and must fit', async () => {
    const edits = [{ kind: 'common', cause: 'deposit', group: 'cable', to: 'rare' }];
    await server.http.post('/api/knowledge/trials').send({ by: 'wen', edits }).expect(403);
    const reply = await server.http
      .post('/api/knowledge/trials')
      .send({ by: 'isla', edits: [{ ...edits[0], cause: 'gremlins' }] })
      .expect(400);
    expect(reply.body.error.message).toContain('gremlins');
  });
});

describe('a new edition of what ships', () => {
  it('comes into an older store as the next version, with what the shop had changed', () => {
    const folder = mkdtempSync(join(tmpdir(), 'uw-edition-'));
    cpSync(fileURLToPath(new URL('./testing/stores/0.5.0', import.meta.url)), folder, { recursive: true });
    const db = openStore(join(folder, 'shop.sqlite'));
    const old = JSON.parse(
      db.prepare<[], { body: string }>('SELECT body FROM knowledge WHERE version = 1').get()!.body,
    ) as { signs: { id: string; method: { minutes: number } }[]; version: number; edition?: number };
    expect(old.edition ?? 1).toBe(1);
    const own = structuredClone(old);
    own.version = 2;
    own.signs.find(({ id }) => id === 'duct-off-look')!.method.minutes = 17;
    db.prepare('INSERT INTO knowledge (version, at, person, note, edits, body) VALUES (2, ?, ?, ?, 1, ?)').run(
      NOW,
      'isla',
      'the duct is a long way in',
      JSON.stringify(own),
    );
    const { knowledge } = createServices(db, join(folder, 'pictures'), () => NOW, 'Europe/London');
    expect(knowledge.versions()[0]).toMatchObject({
      version: 3,
      by: '',
      note: expect.stringContaining('1 of the shop'),
    });
    const newest = knowledge.newest();
    expect(newest.edition).toBe(SHIPPED_KNOWLEDGE.edition);
    expect(newest.causes).toHaveLength(SHIPPED_KNOWLEDGE.causes.length);
    expect(newest.signs.find(({ id }) => id === 'duct-off-look')).toMatchObject({ method: { minutes: 17 } });
    // Opened again it is the same store: an edition comes once.
    createServices(db, join(folder, 'pictures'), () => NOW, 'Europe/London');
    expect(knowledge.versions()).toHaveLength(3);
    db.close();
    rmSync(folder, { recursive: true, force: true });
  });
});
