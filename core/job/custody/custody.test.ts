import { describe, expect, it } from 'vitest';
import { type CommandBody, decide, type Job } from '../index.ts';
import { play } from '../testing/play.ts';
import { afloat, off, open, pin, SAMPLE_CONTEXT } from '../testing/samples.ts';

const { job } = play([open]);
const tried = (command: object, on: Job | null = job, at: string | null = null) =>
  decide(on, (at === null ? command : { ...command, at }) as CommandBody, SAMPLE_CONTEXT);
const cancel = (why: string) => ({ type: 'cancel-job', data: { why } }) as CommandBody;

describe('a job that rests', () => {
  it('says why, and not until a day that is gone', () => {
    const aside = (until: string | null, why: string) => ({ type: 'put-aside', data: { until, why } });
    expect(tried(aside('2026-05-11', 'seal'), job, '2026-05-13T08:00:00.000Z')).toMatchObject({ field: 'until' });
    expect(tried(aside('2026-05-13', 'seal'), job, '2026-05-13T08:00:00.000Z')).toMatchObject({ ok: true });
    expect(tried(aside(null, ' '))).toMatchObject({ ok: false, field: 'why' });
    expect(tried({ type: 'take-up', data: {} })).toMatchObject({ ok: false, code: 'not-there' });
  });
  it('is given on with a note, and back to nobody', () => {
    const give = (to: string, name: string, note = '') =>
      ({ type: 'assign-job', data: { to, name, note } }) as CommandBody;
    expect(tried(give('', ''))).toMatchObject({ ok: false, code: 'already-there' });
    const given = play([open, give('isla', 'Isla Renn', 'look at the hose ')]).job!;
    expect(given.assigned).toMatchObject({ to: 'isla', note: 'look at the hose', by: 'tomas' });
    expect(tried(give('isla', 'Isla Renn', 'look at the hose'), given)).toMatchObject({ ok: false });
    expect(play([open, give('isla', 'Isla Renn'), give('', '')]).job!.assigned).toBeNull();
  });
});

describe('a job that is called off', () => {
  it('is closed with why, and nothing more is entered until it is opened again', () => {
    const { job: off } = play([open, cancel('sold')]);
    expect(off).toMatchObject({ status: 'closed', cancelled: { why: 'sold', by: 'tomas' }, handOver: null });
    expect(tried({ type: 'take-up', data: {} }, off)).toMatchObject({ code: 'job-closed' });
    const again = play([open, cancel('sold'), { type: 'reopen-job', data: { reason: 'not sold' } }]).job!;
    expect(again).toMatchObject({ status: 'open', cancelled: null });
  });
  it('must not lie open; an outboard need not have its water for it', () => {
    expect(tried(cancel('sold'), play([open, pin, off('plug')]).job)).toMatchObject({ ok: false, code: 'engine-held' });
    expect(tried(cancel(' '))).toMatchObject({ ok: false, field: 'why' });
    expect(tried(cancel('sold'), play([afloat]).job)).toMatchObject({ ok: true });
  });
});
