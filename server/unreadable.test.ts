import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Harness, harness, openJob } from './testing/harness.ts';

/** Logs that this program cannot read: another job's page works on, and the words say which entry and what to do. */
let server: Harness;
const append = (jobId: string, seq: number, type: string, v: number, data: string): void => {
  const at = '2026-05-13T13:10:00.000Z';
  const command = `later-${jobId}`;
  server.db
    .prepare('INSERT INTO command (id, job_id, first_seq, last_seq, received_at) VALUES (?, ?, ?, ?, ?)')
    .run(command, jobId, seq, seq, at);
  server.db
    .prepare(
      "INSERT INTO event (job_id, seq, command_id, at, person, type, v, data, hash) VALUES (?, ?, ?, ?, 'wen', ?, ?, ?, 'x')",
    )
    .run(jobId, seq, command, at, type, v, data);
};
beforeAll(async () => {
  server = await harness();
  for (const [index, jobId] of ['good', 'later', 'other', 'cut'].entries())
    await openJob(server, jobId, { reading: { value: 148_220 + index, unit: 'km' } }).expect(201);
  append('later', 4, 'plate-polished', 1, '{}');
  append('other', 4, 'note-made', 7, '{"id":"n","stage":"strip","text":"x"}');
  append('cut', 4, 'note-made', 1, '{"id":"n","stage":"strip"}');
});
afterAll(() => server.close());

describe('a log with an entry', () => {
  it.each([
    [
      'of an unknown kind',
      'later',
      'log-unknown',
      /Entry 4 of job later is of a kind .*“plate-polished”.*a later program/,
    ],
    ['of a later version', 'other', 'log-unknown', /Entry 4 of job other .*“note-made”, version 7/],
    ['that lacks a field', 'cut', 'log-damaged', /Entry 4 of job cut \(“note-made”\) cannot be read: text/],
  ])('%s is named, and nothing is added to it', async (_, jobId, code, words) => {
    const { body } = await server.http.get(`/api/jobs/${jobId}`).expect(500);
    expect(body.error).toMatchObject({ code, message: expect.stringMatching(words) });
    await server.send(jobId, 'make-note', { id: 'n2', stage: 'strip', text: 'y' }).expect(500);
    expect(server.services.jobs.log.length(jobId)).toBe(4);
  });
  it('keeps neither the others nor the Bay from being shown', async () => {
    await server.http.get('/api/jobs/good').expect(200);
    await server.send('good', 'make-note', { id: 'n', stage: 'strip', text: 'x' }).expect(201);
    const { body } = await server.http.get('/api/bay').expect(200);
    expect(body.lines).toHaveLength(4);
  });
  it('stops a rebuild, which then has changed nothing', () => {
    const summaries = () => server.db.prepare('SELECT count(*) AS n FROM job_summary').get();
    const before = summaries();
    expect(() => server.services.jobs.rebuild()).toThrow('Entry 4 of job');
    expect(summaries()).toEqual(before);
  });
});

describe('a rebuild', () => {
  it('clears what is there first, and tells how far it is', async () => {
    const own = await harness();
    await openJob(own, 'j').expect(201);
    const tables = () => own.db.prepare('SELECT job_id, number FROM job_summary').all();
    const before = tables();
    own.db.prepare("INSERT INTO told VALUES ('ghost', 't', 'left behind', '2026-05-13T13:10:00.000Z')").run();
    const said: [number, number][] = [];
    expect(own.services.jobs.rebuild((done, of) => said.push([done, of]))).toBe(1);
    expect(said).toEqual([[1, 1]]);
    expect(own.db.prepare('SELECT id FROM told').all()).toEqual([{ id: 'opening' }]);
    expect(tables()).toEqual(before);
    own.close();
  });
});
