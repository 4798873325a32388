import { describe, expect, it } from 'vitest';
import { plainItem } from '../../procedure/index.ts';
import { type CommandBody, decide, jobMayStart, type Job, openPoints } from '../index.ts';
import { play } from '../testing/play.ts';
import { afloat, back, off, open, SAMPLE_CONTEXT } from '../testing/samples.ts';

const codes = (job: Job): string[] => {
  const verdict = jobMayStart(job);
  return verdict.may ? [] : verdict.holds.map(({ code }) => code);
};
const hose = {
  type: 'add-item',
  data: { item: plainItem('hose', 'Coolant hose, left', 'coolant-hose') },
} as CommandBody;
const booked = (kind: 'caught' | 'returned' | 'added', amountText: string): CommandBody =>
  ({
    type: 'record-coolant',
    data: { id: `${kind}${amountText}`, kind, amountText, concentration: kind === 'added' ? 0.5 : null },
  }) as CommandBody;
const level = (said: 'low' | 'right'): CommandBody => ({ type: 'check-level', data: { when: 'cold', level: said } });
const run = (...end: CommandBody[]): CommandBody[] => [
  { type: 'start-run', data: { id: 'r', recipeId: 'bleed' } },
  ...end,
];
const closed = (outcome: 'took' | 'abandoned'): CommandBody =>
  ({
    type: 'close-run',
    data: { runId: 'r', outcome, why: 'seen', ended: '' },
  }) as unknown as CommandBody;

describe('coolant holds the engine', () => {
  const opened = [open, hose, off('hose'), back('hose')];
  it.each([
    ['nothing is noted', [], ['coolant']],
    ['it went back', [booked('caught', '0.8 L'), booked('returned', '0.8 L')], []],
    ['too little went back', [booked('caught', '0.8 L'), booked('returned', '0.3 L')], ['coolant']],
    ['fresh made up for it', [booked('caught', '0.8 L'), booked('added', '0.8 L')], []],
    ['the level is right', [level('right')], []],
    ['the level is low', [level('low')], ['coolant']],
    ['the level was right before more ran out', [level('right'), booked('caught', '1 L')], ['coolant']],
  ] as const)('%s', (_, more, held) => {
    expect(codes(play([...opened, ...more]).job!)).toEqual(held);
  });
  it('is not settled by a level that was right before a joint of the circuit came off', () => {
    const housing = plainItem('hose', 'Thermostat housing', 'other', {
      fasteners: { count: 2, thread: 'M6', into: '', bolts: [], fractions: [1], spec: null, joint: 'coolant' },
    });
    const { job } = play([open, level('right'), { type: 'add-item', data: { item: housing } }, off('hose')]);
    expect(codes(job!)).toContain('coolant');
  });
  it('does not ask about a circuit that nobody opened', () => {
    expect(codes(play([open]).job!)).toEqual([]);
  });
});

describe('a bleed', () => {
  it('holds when somebody says that it took with steps left out, until the level is right', () => {
    expect(codes(play([open, ...run(closed('took'))]).job!)).toEqual(['bleed']);
    expect(codes(play([open, ...run(closed('took')), level('right')]).job!)).toEqual([]);
  });
  it('holds once it was broken off, not while it runs or is done again', () => {
    expect(codes(play([open, ...run()]).job!)).toEqual([]);
    expect(codes(play([open, ...run(closed('abandoned'))]).job!)).toEqual(['bleed']);
    expect(codes(play([open, ...run(closed('abandoned')), level('right')]).job!)).toEqual([]);
    const again = { type: 'start-run', data: { id: 's', recipeId: 'bleed' } } as CommandBody;
    expect(codes(play([open, ...run(closed('abandoned')), again]).job!)).toEqual([]);
  });
});

describe('an outboard', () => {
  it('is held until its cooling water is there, and can be handed over all the same', () => {
    const { job } = play([afloat]);
    expect(codes(job!)).toEqual(['cooling-water']);
    expect(openPoints(job!).filter(({ code }) => code === 'holds-engine')).toEqual([]);
    const wet = { type: 'give-water', data: { how: 'afloat' } } as CommandBody;
    const later = play([afloat, wet, hose, off('hose'), back('hose'), level('right')]).job!;
    expect(codes(later)).toEqual(['cooling-water']);
    const dry = decide(job, { type: 'give-water', data: { how: ' ' } }, SAMPLE_CONTEXT);
    expect(dry).toMatchObject({ ok: false, field: 'how' });
    const road = decide(play([open]).job, { type: 'give-water', data: { how: 'hose' } }, SAMPLE_CONTEXT);
    expect(road).toMatchObject({ ok: false, code: 'not-needed' });
  });
});

describe('somebody who works alone', () => {
  const { job } = play([open, hose, off('hose'), back('hose')]);
  const pass = { type: 'override-hold', data: { keys: ['coolant circuit'], reason: 'a drop only' } } as CommandBody;
  it('answers for what is let pass; in a shop of several it is the lead', () => {
    const technician = { ...SAMPLE_CONTEXT, role: 'technician' } as const;
    expect(decide(job, pass, { ...technician, alone: false })).toMatchObject({ ok: false, code: 'lead-only' });
    expect(decide(job, pass, { ...technician, alone: true })).toMatchObject({ ok: true });
  });
});
