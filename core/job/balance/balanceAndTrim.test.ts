import { describe, expect, it } from 'vitest';
import { balanceSeen, type CommandBody, decide, type Job, openPoints, trimmedUnits } from '../index.ts';
import type { Command, CommandData } from '../catalogue.ts';
import type { Context } from '../context.ts';
import { contextFor, play } from '../testing/play.ts';
import { afloat, open, openBank } from '../testing/world.ts';
import { balanceRows } from './sheet.ts';
import { trimRows } from '../trim/sheet.ts';

const job = (...bodies: CommandBody[]): Job => play(bodies).job!;
const refusal = (on: Job, body: CommandBody, context: Partial<Context> = {}) => {
  const decision = decide(on, body as Command, { ...contextFor(body), ...context });
  return decision.ok ? null : decision;
};

describe('balance of a bank on a job', () => {
  const read = (one: string, two: string, more: Partial<CommandData['measure-balance']> = {}): CommandBody => ({
    type: 'measure-balance',
    data: {
      id: `${one}-${two}`,
      when: 'after',
      reference: 'cylinder 1',
      unit: 'mmHg',
      bodies: [
        { place: 'cylinder 1', text: one },
        { place: 'cylinder 2', text: two },
      ],
      ...more,
    },
  });
  it('keeps what the gauge showed, says what it comes to, and is an open point while it is uneven', () => {
    const uneven = job(openBank, read('225', '262'));
    expect(balanceSeen(uneven, 'after')).toMatchObject({ balance: { even: false, first: { place: 'cylinder 2' } } });
    expect(openPoints(uneven).map(({ code, asks }) => [code, asks])).toContainEqual(['uneven', true]);
    expect(balanceRows(uneven)).toMatchObject([
      { label: 'Balance after', value: 'cylinder 1 225, cylinder 2 262 mmHg', note: /spread 37.* mmHg, UNEVEN/ },
    ]);
    const even = job(openBank, read('225', '262'), read('240', '245'));
    expect(openPoints(even).map(({ code }) => code)).not.toContain('uneven');
  });
  it('refuses a single, a body that is not there, one left out and a figure beyond the air', () => {
    const one = { bodies: [{ place: 'only', text: '30' }], reference: 'only' };
    expect(refusal(job(open), read('1', '2', one))).toMatchObject({ code: 'single', message: /One body alone/ });
    expect(refusal(job(openBank), read('1', '2', one))).toMatchObject({ field: 'bodies.0' });
    const half = { bodies: [{ place: 'cylinder 1', text: '225' }] };
    expect(refusal(job(openBank), read('1', '2', half))).toMatchObject({ field: 'bodies.1' });
    expect(refusal(job(openBank), read('225', '900'))).toMatchObject({ field: 'bodies.1', message: /0 to 101 kPa/ });
    expect(refusal(job(openBank), read('225', 'much'))).toMatchObject({ field: 'bodies.1' });
    expect(refusal(job(openBank), read('225', '230', { reference: 'x' }))).toMatchObject({ field: 'reference' });
    expect(refusal(job(openBank), read('225', '230', { rpmText: 'idle' }))).toMatchObject({ field: 'rpmText' });
  });
  it('can be read on a bank whose file lists no body: whoever holds the gauge says how many', () => {
    const made = job(openBank);
    const stranger: Job = { ...made, vehicle: { ...made.vehicle, units: [] } };
    const decision = decide(stranger, read('225', '262') as Command, contextFor(read('225', '262')));
    expect(decision).toMatchObject({ ok: true, events: [{ type: 'balance-measured' }] });
    const alone = { bodies: [{ place: 'cylinder 1', text: '225' }] };
    expect(refusal(stranger, read('1', '2', alone))).toMatchObject({ code: 'single' });
    const twice = {
      bodies: [
        { place: 'a', text: '225' },
        { place: 'a', text: '226' },
      ],
    };
    expect(refusal(stranger, read('1', '2', twice))).toMatchObject({ code: 'single' });
  });
  it('is judged by the spread that the shop has set', () => {
    const said = { 'balance-spread': { value: 6, source: null, by: 'isla', at: '2026-05-13T08:00:00.000Z' } };
    const wide = play([openBank, read('225', '262')], { figures: said }).job!;
    expect(balanceSeen(wide, 'after')?.balance.even).toBe(true);
  });
});

describe('a trim trial on an outboard', () => {
  const water: CommandBody = { type: 'give-water', data: { how: 'muffs and hose' } };
  const step = (turnsText: string, rpmText: string, more: object = {}): CommandBody =>
    ({
      type: 'try-trim',
      data: { id: `t${turnsText}`, unit: 'throttle-body', turnsText, place: 'hose', rpmText, note: '', ...more },
    }) as CommandBody;
  it('counts the turns from where the screw was found, and says what came of each', () => {
    const tried = job(afloat, water, step('0.25', '1100'), step('½', '1250'));
    expect(tried.trims.map(({ inside }) => inside)).toEqual([false, true]);
    expect(tried.turned.map(({ turns }) => turns)).toEqual([0.25, 0.25]);
    expect(trimmedUnits(tried)).toEqual([{ unit: 'throttle-body', turns: 0.5 }]);
    expect(openPoints(tried).find(({ code }) => code === 'stop-gap')?.words).toContain('½ turn out');
    expect(trimRows(tried).map(({ value, note }) => [value, note])).toEqual([
      ['1100 rpm', 'on the hose · not in its window'],
      ['1250 rpm', 'on the hose · in its window'],
    ]);
    const back = job(afloat, water, step('½', '1250'), step('0', '1000'));
    expect(trimmedUnits(back)).toEqual([]);
  });
  it('needs water, the house’s leave, an outboard and something that was read', () => {
    expect(refusal(job(afloat), step('½', '1250'))).toMatchObject({ code: 'no-water' });
    expect(refusal(job(open), step('½', '1250'))).toMatchObject({ code: 'not-outboard' });
    const wet = job(afloat, water);
    expect(refusal(wet, step('½', '1250'), { rules: { 'stop-screw': 'never' } })).toMatchObject({ code: 'house-rule' });
    expect(refusal(wet, step('½', ''))).toMatchObject({ field: 'rpmText', message: /What did it do/ });
    expect(refusal(wet, step('a bit', '1250'))).toMatchObject({ field: 'turnsText' });
    expect(refusal(wet, step('½', '', { dutyText: '140' }))).toMatchObject({ field: 'dutyText' });
  });
});
