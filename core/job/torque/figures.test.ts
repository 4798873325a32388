import { describe, expect, it } from 'vitest';
import { type ItemKind, JOINTS, jointOf, plainItem } from '../../procedure/index.ts';
import { boltVerdict, type CommandBody, decide, isAtTorque, itemOf, jobMayStart, jobTally, sheetOf } from '../index.ts';
import { speaker } from '../../sheet/index.ts';
import type { Joint } from '../../procedure/index.ts';
import { play } from '../testing/play.ts';
import { off, open, SAMPLE_CONTEXT } from '../testing/samples.ts';

const group = (joint?: Joint) => ({
  count: 2,
  thread: 'M6×25',
  into: '',
  bolts: [],
  fractions: [1],
  spec: null,
  ...(joint === undefined ? {} : { joint }),
});
const typed = (kind: ItemKind, joint?: Joint): CommandBody =>
  ({
    type: 'add-item',
    data: { item: plainItem('it', 'The bolts', kind, { fasteners: group(joint) }) },
  }) as CommandBody;
const back: CommandBody = {
  type: 'put-back-item',
  data: { itemId: 'it', renewed: false, fitted: '', countedBack: 2, confirmed: false },
};
const tight = (boltId: string, torqueText: string, method: 'wrench' | 'by-feel' = 'wrench'): CommandBody => ({
  type: 'tighten-bolt',
  data: { itemId: 'it', boltId, pass: 1, method, torqueText, wrenchId: method === 'wrench' ? 'w' : '' },
});
const codes = (job: Parameters<typeof jobMayStart>[0]): string[] => {
  const verdict = jobMayStart(job);
  return verdict.may ? [] : verdict.holds.map(({ code }) => code);
};

const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'Europe/London');

describe('a joint without a figure', () => {
  it.each([
    ['fasteners', undefined, true],
    ['unit', undefined, true],
    ['bracket', undefined, true],
    ['coolant-hose', undefined, true],
    ['other', undefined, true],
    ['fasteners', 'fuel', true],
    ['cover', 'sensor', true],
    ['cover', undefined, false],
    ['clamp', undefined, false],
    ['duct', undefined, false],
    ['fasteners', 'trim', false],
  ] as const)('%s, said to be %s, holds the engine once it was off: %s', (kind, joint, held) => {
    const { job } = play([open, typed(kind, joint), off('it'), back]);
    expect(JOINTS[jointOf(itemOf(job!, 'it')!)].figure).toBe(held);
    expect(codes(job!).includes('figure')).toBe(held);
  });

  it('is in no band, however tight: a figure that comes later judges what was reached', () => {
    const { job, log } = play([open, typed('fasteners'), off('it'), tight('1', '2 Nm'), tight('2', '60 Nm')]);
    const bolts = itemOf(job!, 'it')!;
    expect(bolts.bolts.map((bolt) => boltVerdict(bolts, bolt))).toEqual(['no figure', 'no figure']);
    expect(['1', '2'].map((id) => isAtTorque(bolts, id))).toEqual([false, false]);
    expect(jobTally(job!)).toMatchObject({ boltsAtTorque: 0, boltsToTorque: 0 });
    expect(codes(job!)).toEqual(['figure']);
    expect(log.at(-1)?.type).toBe('item-put-back');
    const later = play([
      open,
      typed('fasteners'),
      off('it'),
      tight('1', '9 Nm'),
      tight('2', '60 Nm'),
      { type: 'give-figure', data: { itemId: 'it', text: '8 to 10 Nm', source: null, like: null } },
    ]).job!;
    const judged = itemOf(later, 'it')!;
    expect(judged.bolts.map((bolt) => boltVerdict(judged, bolt))).toEqual(['in band', 'over']);
    expect(jobTally(later)).toMatchObject({ boltsAtTorque: 1, boltsToTorque: 2 });
    expect(codes(later)).toEqual(['torque']);
  });

  it('by feel needs a reason, is never counted as at torque, and stands on the sheet', () => {
    const { job } = play([open, typed('fasteners'), off('it'), back]);
    const chosen = (why: string) =>
      decide(job, { type: 'choose-by-feel', data: { itemIds: ['it'], why } }, SAMPLE_CONTEXT);
    expect(chosen('  ')).toMatchObject({ ok: false, field: 'why' });
    const felt = play([
      open,
      typed('fasteners'),
      off('it'),
      back,
      { type: 'choose-by-feel', data: { itemIds: ['it'], why: 'into plastic' } },
    ]).job!;
    expect(codes(felt)).toEqual([]);
    expect(jobTally(felt)).toMatchObject({ boltsAtTorque: 0, boltsToTorque: 0 });
    const printed = (of: typeof felt) =>
      sheetOf(of, say)
        .sections.find(({ title }) => title === 'Fasteners')
        ?.rows.map(({ label, value, note }) => [label, value, note]);
    expect(printed(felt)).toEqual([['The bolts, 2 × M6×25', 'by feel', 'into plastic']]);
    expect(printed(job!)).toEqual([['The bolts, 2 × M6×25', 'NO TORQUE FIGURE', '']]);
    expect(
      decide(felt, { type: 'choose-by-feel', data: { itemIds: ['it'], why: 'again' } }, SAMPLE_CONTEXT),
    ).toMatchObject({ ok: false, code: 'not-there' });
  });

  it('a single bolt by feel does not stand for a figure', () => {
    const { job } = play([open, typed('fasteners'), off('it'), tight('1', '', 'by-feel'), tight('2', '', 'by-feel')]);
    expect(codes(job!)).toEqual(['figure']);
  });

  it.each([
    ['9 lb', 'Pounds of what'],
    ['nonsense', ''],
    ['900 Nm', '500 N·m'],
  ])('refuses %s as a figure, beside the field', (text, words) => {
    const { job } = play([open, typed('fasteners'), off('it')]);
    const refused = decide(
      job,
      { type: 'give-figure', data: { itemId: 'it', text, source: null, like: null } },
      SAMPLE_CONTEXT,
    );
    expect(refused).toMatchObject({ ok: false, field: 'text' });
    expect(refused.ok ? '' : refused.message).toContain(words);
  });
});

describe('a unit that was typed', () => {
  const unit = {
    type: 'add-item',
    data: { item: plainItem('tb', 'Throttle body', 'unit', { unit: 'throttle-body' }) },
  };
  const fitted = {
    type: 'put-back-item',
    data: { itemId: 'tb', renewed: false, fitted: '', countedBack: null, confirmed: false },
  };
  const steps = [open, unit as CommandBody, off('tb'), fitted as CommandBody];
  it('is not tied down until something holds it, or somebody says why not', () => {
    expect(codes(play(steps).job!)).toEqual(['unit-loose']);
    const clamped = { type: 'add-item', data: { item: plainItem('it', 'Boot clamp', 'clamp') } } as CommandBody;
    expect(
      codes(
        play([...steps, clamped, off('it'), { ...back, data: { ...back.data, countedBack: null } } as CommandBody])
          .job!,
      ),
    ).toEqual([]);
    const duct = { type: 'add-item', data: { item: plainItem('it', 'Duct clamp', 'clamp') } } as CommandBody;
    expect(codes(play([...steps, duct, off('it')]).job!)).toContain('unit-loose');
    const said = { type: 'choose-by-feel', data: { itemIds: ['tb'], why: 'sits on its boot' } } as CommandBody;
    expect(codes(play([...steps, said]).job!)).toEqual([]);
  });
});
