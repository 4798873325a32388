import { describe, expect, it } from 'vitest';
import { type CommandBody, decide, type Job } from '../index.ts';
import { play } from '../testing/play.ts';
import { open, SAMPLE_CONTEXT } from '../testing/samples.ts';

const NOW = '2026-05-13T08:00:00.000Z';
const promise = (ready: string, why = '') =>
  ({ type: 'promise-ready', data: { ready, told: 'Friday 16:00', why } }) as CommandBody;
const tried = (body: CommandBody, on: Job | null) =>
  decide(on, { ...body, at: NOW } as CommandBody & { at: string }, SAMPLE_CONTEXT);

describe('a promise', () => {
  const { job } = play([open]);
  it('is of a time to come', () => {
    expect(tried(promise('2026-05-13T07:59:00.000Z'), job)).toMatchObject({ ok: false, field: 'ready' });
    expect(tried(promise('2026-05-13T15:00:00.000Z'), job)).toMatchObject({ ok: true });
    const untold = { type: 'promise-ready', data: { ready: '2026-05-13T15:00:00.000Z', told: ' ', why: '' } } as const;
    expect(tried(untold, job)).toMatchObject({ ok: false, field: 'told' });
  });
  it('moves with why, is not given twice, and is counted only when it moved', () => {
    const once = play([open, promise('2030-05-17T15:00:00.000Z')]).job!;
    expect(once).toMatchObject({ promisesMoved: 0, last: { words: 'Promised: ready Friday 16:00' } });
    expect(tried(promise('2030-05-17T15:00:00.000Z'), once)).toMatchObject({ ok: false, code: 'already-there' });
    const moved = play([open, promise('2030-05-17T15:00:00.000Z'), promise('2030-05-18T09:00:00.000Z', ' seal ')]).job!;
    expect(moved).toMatchObject({ promisesMoved: 1, promise: { why: 'seal' } });
    expect(moved.last?.words).toContain('Promise moved');
  });
  it('is withdrawn with a reason, once', () => {
    const given = play([open, promise('2030-05-17T15:00:00.000Z')]).job!;
    const withdraw = (why: string) => ({ type: 'withdraw-promise', data: { why } }) as CommandBody;
    expect(tried(withdraw(' '), given)).toMatchObject({ ok: false, field: 'why' });
    expect(tried(withdraw('sold'), job)).toMatchObject({ ok: false, code: 'not-there' });
  });
});
