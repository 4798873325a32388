import { describe, expect, it } from 'vitest';
import { besideMetric } from '../../quantity/index.ts';
import { speaker } from '../../sheet/index.ts';
import type { CommandBody, CommandData, CommandType } from '../catalogue.ts';
import { sheetOf } from '../sheet.ts';
import { play } from '../testing/play.ts';
import { off, open, pin } from '../testing/samples.ts';

const body = <K extends CommandType>(type: K, data: CommandData[K]): CommandBody =>
  ({ type, data }) as unknown as CommandBody;
const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'UTC');
const page = (...bodies: CommandBody[]) => sheetOf(play([open, ...bodies]).job!, say).customer;
const decided = body('decide', { choice: 'clean-bench', reason: 'crust', departure: '', options: [] });
const part = body('use-part', { id: 'p', name: 'Body gasket', partNumber: 'G', quantity: 2, priceMinor: 450 });
const handOver = (more: Partial<CommandData['hand-over']> = {}) =>
  body('hand-over', {
    watch: 'oil mist in the duct',
    nextDue: { value: 30_000, unit: 'km' },
    labourMinutes: 90,
    ratePerHourMinor: 6000,
    currency: 'cr',
    ...more,
  });

describe('the customer’s page', () => {
  it('says what was wrong in their words, with the codes and what was found', () => {
    const { wrong } = page(
      body('read-code', { id: 'k', code: 'P0505', status: 'stored', when: 'before', note: '' }),
      body('do-check', { id: 'c', name: 'Duct', result: 'Oil inside.', verdict: 'abnormal' }),
      body('do-check', { id: 'd', name: 'Idle screw ring', result: 'Idle screw ring hard', verdict: 'abnormal' }),
    );
    expect(wrong).toEqual([
      '“hunts.”',
      'The engine computer had stored P0505.',
      'Found: duct: oil inside; idle screw ring hard.',
    ]);
  });
  it('says only what was done, never what was planned', () => {
    expect(page().done).toEqual([]);
    const { done } = page(pin, decided, off('cover'), part);
    expect(done).toEqual([
      'Decided: clean on the bench.',
      'Renewed: 2 × body gasket.',
      '1 thing came off; 0 went back.',
    ]);
  });
  it('has a sum that closes, with the parts one by one', () => {
    expect(page(decided, part).cost).toEqual([]);
    const { cost, watch } = page(decided, part, handOver());
    expect(cost.map(({ label, value }) => [label, value])).toEqual([
      ['Labour', '90.00 cr'],
      ['Body gasket', '9.00 cr'],
      ['Total', '99.00 cr'],
    ]);
    expect(watch).toEqual(['Oil mist in the duct.', 'Next due at 30\u2009000 km.']);
  });
  it('lists every gap as a gap, each once', () => {
    const { gaps } = page(body('pass-stage', { stage: 'prove' }));
    expect(gaps).toContain('Codes not read after.');
    expect(gaps).toContain('Nothing decided.');
    expect(new Set(gaps).size).toBe(gaps.length);
  });
  it('says what was renewed without a price', () => {
    const { gaps } = page(
      body('add-item', {
        item: {
          id: 'ring',
          name: 'Valve ring',
          kind: 'gasket',
          tool: '',
          note: '',
          opens: [],
          fasteners: null,
          singleUse: true,
          partNumber: '',
          unit: null,
          cautions: [],
        },
      }),
      off('ring'),
      body('put-back-item', {
        itemId: 'ring',
        renewed: true,
        fitted: '',
        countedBack: null,
        confirmed: false,
        against: '',
      }),
    );
    expect(gaps).toContain('Valve ring was renewed, and its price is not in the sum.');
  });
});

describe('one system of units', () => {
  it.each([
    [{ value: 75, unit: 'in·lb' as const, text: '75 in-lb' }, '75 in·lb (8.5 N·m)'],
    [{ value: 9, unit: 'N·m' as const }, '9 N·m'],
    [{ value: 250, unit: 'mL' as const }, '250 mL'],
    [{ value: 90_000, unit: 'mi' as const }, '90\u2009000 mi (144\u2009841 km)'],
  ])('stands beside the one entered', (quantity, words) => {
    expect(besideMetric(quantity)).toBe(words);
  });
});
