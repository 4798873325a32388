import { describe, expect, it } from 'vitest';
import type { CommandBody, Job } from '../job/index.ts';
import { play } from '../job/testing/play.ts';
import { SAMPLES } from '../job/testing/samples.ts';
import { bandOf, costOf, measured, mixAfter, sheetOf, speaker } from './index.ts';

const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'Europe/London');
const off = (itemId: string): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket: '', label: '', countedOut: null },
});
const of = <K extends keyof typeof SAMPLES>(type: K): CommandBody =>
  ({ type, data: SAMPLES[type].data }) as unknown as CommandBody;
const job = (...bodies: CommandBody[]): Job => play([of('open-job'), of('pin-procedure'), ...bodies]).job!;
const section = (made: Job, title: string) => sheetOf(made, say).sections.find((each) => each.title === title)!;
const rows = (made: Job, title: string): string[] =>
  section(made, title).rows.map(({ label, value, note }) => [label, value, note].filter(Boolean).join(' | '));

describe('the sheet', () => {
  it('names the vehicle, the reading as entered, and who opened it when', () => {
    const sheet = sheetOf(job(), say);
    expect([sheet.plate, sheet.title, sheet.subtitle]).toEqual([
      'AB 1',
      'Sule 650',
      'twin · cable body, stepper valve',
    ]);
    expect(sheet.identity.find(({ label }) => label === 'Odometer')?.value).toBe('10 km');
    expect(sheet.identity.find(({ label }) => label === 'Opened')).toMatchObject({
      value: 'Wednesday 13 May, 09:00',
      note: 'Tomas Virk',
    });
    expect(sheet.closing).toContain('licensed people');
  });
  it('prints every section, each with rows or a sentence that says why there are none', () => {
    for (const each of sheetOf(job(), say).sections)
      expect(each.rows.length > 0 || each.empty.length > 0, each.title).toBe(true);
  });
  it('gives each fastener group its target, wrench and what each bolt reached', () => {
    expect(rows(job(off('bolts'), of('tighten-bolt')), 'Fasteners')).toEqual([
      'Sample bolts, M6 into alloy | 9 N·m | Target 9 Nm; Click; source: shop figure, verify',
    ]);
    expect(rows(job(off('bolts')), 'Fasteners')[0]).toContain('not recorded');
    const loose: CommandBody = { type: 'tighten-bolt', data: { ...SAMPLES['tighten-bolt'].data, torqueText: '5 Nm' } };
    expect(rows(job(off('bolts'), loose), 'Fasteners')[0]).toContain('5 N·m (under)');
  });
  it('says what became of each unit', () => {
    expect(rows(job(), 'Units')).toEqual(['Throttle body, only | S-1, variant A | stayed on']);
    expect(rows(job(off('body')), 'Units')[0]).toContain('| off');
    expect(rows(job(off('body'), of('put-back-item')), 'Units')[0]).toContain('replaced by S-2');
  });
  it('shouts what is still off and what was left off', () => {
    expect(rows(job(off('cover')), 'Came off and went back')).toEqual(['Sample cover | OFF']);
    expect(rows(job(off('cover'), of('leave-off-item')), 'Left over or unusual')).toEqual([
      'Sample cover | left off on purpose | clips broken',
    ]);
  });
  it('works out the mix: 6 L at 50 %, 0.7 L out and away, 0.7 L of water in', () => {
    const coolant = (kind: 'caught' | 'discarded' | 'added', concentration: number | null): CommandBody => ({
      type: 'record-coolant',
      data: { id: kind, kind, amountText: '0.7 L', concentration },
    });
    const made = job(coolant('caught', null), coolant('discarded', null), coolant('added', 0));
    // (5.3 L × 0.5) / 6 L
    expect(mixAfter(made)?.concentration).toBeCloseTo(0.441667, 6);
    expect(rows(made, 'Coolant')).toContain('Mix now | 44 % antifreeze | freezes at −30 °C, worked out');
    expect(mixAfter(job())).toBeNull();
  });
  it('sets before beside after and judges by the family’s band', () => {
    const measure = (when: 'before' | 'after', value: number): CommandBody => ({
      type: 'take-measurement',
      data: { id: when, kind: 'idle-rpm', when, value },
    });
    const made = job(measure('before', 900), measure('after', 1300));
    expect(measured(made, 'idle-rpm', 'before')).toEqual({ value: 900, words: 'below the band', good: false });
    expect(measured(made, 'idle-rpm', 'after')).toEqual({ value: 1300, words: 'in band', good: true });
    expect(bandOf(made, 'settle-time')).toBeNull();
    expect(rows(made, 'Proved')[0]).toBe(
      'Idle speed, warm | 900 rpm before, 1300 rpm after | band 1200 to 1400 rpm, in band; shop figure, verify',
    );
  });
  it('adds up the money to the minor unit', () => {
    const parts = [
      { quantity: 2, priceMinor: 640 },
      { quantity: 1, priceMinor: 45 },
    ] as unknown as Job['parts'];
    expect(costOf({ parts }, 50, 5800)).toEqual({ partsMinor: 1325, labourMinor: 4833, totalMinor: 6158 });
    expect(say.money(6158)).toBe('61.58 cr');
    const made = play([of('open-job'), of('decide'), of('use-part'), of('hand-over')]).job!;
    expect(rows(made, 'Time and money').at(-1)).toBe('Total | 42.80 cr');
  });
  it('says days and unknown people as they are', () => {
    expect(say.day('2026-05-18')).toBe('Monday 18 May');
    expect(say.person('ghost')).toBe('ghost');
  });
});
