import { describe, expect, it } from 'vitest';
import { type CommandBody, decide, type Job, runningTimers } from '../index.ts';
import type { Command, CommandData } from '../catalogue.ts';
import { play } from '../testing/play.ts';
import { open, SAMPLE_CONTEXT } from '../testing/samples.ts';
import { seizedRows } from './sheet.ts';

type Try = CommandData['try-rung'];
const noted = (id: string, more: object = {}): CommandBody =>
  ({
    type: 'note-seized',
    data: {
      id,
      unit: 'idle-valve',
      where: `Screw ${id}`,
      thread: 'M5×14',
      host: 'aluminium',
      headWhole: true,
      nearDelicate: false,
      partNumber: '',
      ...more,
    },
  }) as CommandBody;
const attempt = (rung: Try['rung'], outcome: Try['outcome'], more: Partial<Try> = {}): CommandBody => ({
  type: 'try-rung',
  data: { screwId: 'a', rung, outcome, note: '', timerId: outcome === 'waiting' ? `t-${rung}` : '', ...more },
});
const job = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const refusal = (on: Job, body: CommandBody) => {
  const decision = decide(on, body as Command, SAMPLE_CONTEXT);
  return decision.ok ? null : decision;
};

describe('seized screws as people do it', () => {
  it('may be tried at any rung at any time', () => {
    const drilled = job(noted('a'), attempt('slot', 'not yet'), attempt('right-bit', 'not yet'));
    expect(drilled.seized[0]?.tried.map(({ rung }) => rung)).toEqual(['slot', 'right-bit']);
  });
  it('are tried again when something has changed, asked in one tap', () => {
    const once = job(noted('a'), attempt('impact', 'not yet'));
    expect(refusal(once, attempt('impact', 'out'))).toMatchObject({ field: 'changed', message: /What has changed/ });
    const again = job(noted('a'), attempt('impact', 'not yet'), attempt('impact', 'out', { changed: 'vice' }));
    expect(again.seized[0]).toMatchObject({ ended: { outcome: 'out' } });
    expect(again.seized[0]?.tried.map(({ changed }) => changed)).toEqual([null, 'vice']);
    expect(seizedRows(again)[0]?.note).toContain('Impact driver, light blows, again, held in a vice');
  });
  it('are tried where the ladder leaves a rung out, with why, and the sheet says so', () => {
    const near = noted('a', { nearDelicate: true });
    expect(refusal(job(near), attempt('impact', 'out'))).toMatchObject({
      field: 'because',
      message: /a motor or sensor would take the blow/,
    });
    const done = job(near, attempt('impact', 'out', { because: 'the sensor is off' }));
    expect(seizedRows(done)[0]?.note).toContain('all the same: the sensor is off');
    expect(job(noted('a'), attempt('impact', 'not yet', { because: 'x' })).seized[0]?.tried[0]?.because).toBe('');
  });
  it('are oiled all at once, each with a timer of its own, and taken back in one', () => {
    const two = job(noted('a'), noted('b'), attempt('oil', 'waiting', { also: [{ screwId: 'b', timerId: 't-b' }] }));
    expect(runningTimers(two).map(({ id }) => id)).toEqual(['t-oil', 't-b']);
    const undone = job(
      noted('a'),
      noted('b'),
      attempt('oil', 'waiting', { also: [{ screwId: 'b', timerId: 't-b' }] }),
      { type: 'undo', data: { expected: 'c3' } },
    );
    expect(undone.seized.map(({ tried }) => tried.length)).toEqual([0, 0]);
    expect(refusal(two, attempt('grip', 'out', { also: [{ screwId: 'b', timerId: '' }] }))).toMatchObject({
      field: 'outcome',
    });
  });
  it('what still waits is over when another rung is tried', () => {
    const tried = job(noted('a'), attempt('oil', 'waiting'), attempt('grip', 'not yet'));
    expect(tried.seized[0]?.tried.map(({ rung, outcome }) => [rung, outcome])).toEqual([
      ['oil', 'not yet'],
      ['grip', 'not yet'],
    ]);
    expect(runningTimers(tried)).toEqual([]);
  });
  it('are not climbed once they are out', () => {
    expect(refusal(job(noted('a'), attempt('grip', 'out')), attempt('drill', 'out'))).toMatchObject({
      code: 'not-there',
      message: /that is over \(out\)/,
    });
  });
});
