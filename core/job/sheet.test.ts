import { describe, expect, it } from 'vitest';
import { besideMetric, format } from '../quantity/index.ts';
import { speaker } from '../sheet/index.ts';
import { bandOf, type CommandBody, costOf, type Job, measured, mixAfter, sheetOf } from './index.ts';
import { play } from './testing/play.ts';
import { SAMPLES } from './testing/samples.ts';
import { pinRich } from './testing/world.ts';

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
      value: 'Wednesday 13 May 2026, 09:00',
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
  it('says the day once for what went back on one day', () => {
    const back = (itemId: string): CommandBody => ({
      type: 'put-back-item',
      data: { itemId, renewed: false, fitted: '', countedBack: null, confirmed: true },
    });
    const [plug, cover] = rows(job(off('plug'), off('cover'), back('cover'), back('plug')), 'Came off and went back');
    expect(plug).toMatch(/^Sample plug \| refitted, Wednesday 13 May 2026, \d\d:\d\d$/);
    expect(cover).toMatch(/^Sample cover \| refitted, \d\d:\d\d$/);
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
    expect(measured(made, 'idle-rpm', 'before')).toEqual({
      value: 900,
      shown: '900',
      words: 'below the band',
      good: false,
    });
    expect(measured(made, 'idle-rpm', 'after')).toEqual({ value: 1300, shown: '1300', words: 'in band', good: true });
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
    expect(costOf({ parts, cleaners: [], coolant: [] }, 50, 5800)).toEqual({
      partsMinor: 1325,
      materialsMinor: 0,
      labourMinor: 4833,
      totalMinor: 6158,
    });
    const cleaners = [{ priceMinor: 42 }, {}] as unknown as Job['cleaners'];
    const coolant = [{ priceMinor: 660 }] as unknown as Job['coolant'];
    expect(costOf({ parts, cleaners, coolant }, 50, 5800)).toMatchObject({ materialsMinor: 702, totalMinor: 6860 });
    expect(say.money(6158)).toBe('61.58 cr');
    const made = play([of('open-job'), of('decide'), of('use-part'), of('hand-over')]).job!;
    expect(rows(made, 'Time and money').at(-1)).toBe('Total | 42.80 cr');
  });
  it('says days and unknown people as they are', () => {
    expect(say.day('2026-05-18')).toBe('Monday 18 May 2026');
    expect(say.person('ghost')).toBe('ghost');
  });
});

describe('the units', () => {
  it('that look alike are told apart by their place', () => {
    const made = play([of('open-job'), pinRich]).job!;
    const bank = (side: string): Job['items'][number] => ({
      ...made.items.find(({ id }) => id === 'unit')!,
      id: side,
      unit: null,
      name: `Throttle actuator, ${side}`,
      unitIds: [`${side} bank`],
      state: side === 'left' ? 'refitted' : 'renewed',
      fitted: side === 'left' ? '' : 'V-9',
    });
    const unit = (place: string) => ({
      id: place,
      kind: 'throttle-actuator' as const,
      place,
      partNumber: 'V-8',
      variant: '',
    });
    const job8: Job = {
      ...made,
      items: [bank('left'), bank('right')],
      vehicle: { ...made.vehicle, units: [unit('right bank'), unit('left bank'), unit('middle')] },
    };
    expect(section(job8, 'Units').rows.map(({ label, note }) => `${label}: ${note}`)).toEqual([
      'Throttle actuator, right bank: replaced by V-9',
      'Throttle actuator, left bank: off and refitted',
      'Throttle actuator, middle: stayed on',
    ]);
  });
});

describe('what was unusual', () => {
  const rich = (...bodies: CommandBody[]): Job => play([of('open-job'), pinRich, ...bodies]).job!;
  const tagged = (itemId: string): CommandBody => ({
    type: 'remove-item',
    data: { itemId, pocket: '', label: itemId, countedOut: null },
  });
  it('is printed: a lead’s word, what was dropped, flags, threads and what went on too early', () => {
    const made = rich(
      { type: 'drop-object', data: { id: 'd', what: 'M6 nut', where: 'valley' } },
      { type: 'override-hold', data: { keys: ['search d'], reason: 'looked at twice' } },
      { type: 'end-search', data: { id: 'd', outcome: 'accepted', where: 'below the tray' } },
      {
        type: 'flag-item',
        data: { itemId: 'arm', flag: 'seized', needs: 'note', text: 'came with heat', partNumber: '', needId: 'n' },
      },
      tagged('screws'),
      { type: 'strip-thread', data: { itemId: 'screws', boltId: '2', note: '' } },
      {
        type: 'repair-thread',
        data: { itemId: 'screws', boltId: '2', route: 'insert', note: 'two turns below the face' },
      },
      tagged('left-plug'),
      tagged('unit'),
      { type: 'finish-bench', data: { itemId: 'unit', note: '' } },
      {
        type: 'put-back-item',
        data: {
          itemId: 'unit',
          renewed: false,
          fitted: '',
          countedBack: null,
          confirmed: false,
          against: 'held aside',
        },
      },
    );
    expect(rows(made, 'Left over or unusual')).toEqual([
      'M6 nut was dropped and is not found: valley | let pass by Tomas Virk, Wednesday 13 May 2026, 09:06 | looked at twice',
      'Dropped: M6 nut | not found; loss accepted by Tomas Virk | below the tray',
      'Sample screws, bolt 2 | thread stripped; thread insert, same bolt | two turns below the face',
      'Sample arm | found seized, came with heat | still open',
      'Sample unit | put back before sample left-plug | held aside',
    ]);
  });
  it('says a measure and whether it was set again, and degrees where a bolt went by angle', () => {
    const made = rich(
      { type: 'keep-measure', data: { itemId: 'dashpot', kind: 'gap', text: '7.4 mm' } },
      tagged('dashpot'),
      tagged('screws'),
      {
        type: 'tighten-pass',
        data: { itemId: 'screws', pass: 1, method: 'wrench', torqueText: '5 Nm', wrenchId: 'w' },
      },
      { type: 'tighten-pass', data: { itemId: 'screws', pass: 2, method: 'angle', torqueText: '45', wrenchId: 'w' } },
      { type: 'go-over-group', data: { itemId: 'screws', moved: false, note: '' } },
    );
    expect(rows(made, 'Came off and went back')[0]).toContain('gap or length 7.4 mm, not set again');
    expect(rows(made, 'Fasteners')).toEqual([
      'Sample screws, M6×25 into alloy | 45° · 45° · 45° · 45° | Target 5 Nm + 45°; Click; source: sample; gone over cold, none moved',
    ]);
  });
  it('says where the time went', () => {
    // Two minutes an entry; the arm was gone over six times.
    const again: CommandBody[] = Array.from({ length: 6 }, () => ({
      type: 'flag-item',
      data: { itemId: 'arm', flag: 'seized', needs: 'note', text: 'x', partNumber: '', needId: 'n' },
    }));
    expect(rows(rich(...again), 'Time and money')).toContainEqual('Time went at sample arm | 12 min | expected 3 min');
  });
});

describe('a gasket', () => {
  it('is new or used again; a later decision replaces the earlier one and leaves it legible', () => {
    const seal = (decision: 'renewed' | 'reused', why: string): CommandBody => ({
      type: 'decide-seal',
      data: { id: decision, name: 'Body gasket', decision, partNumber: 'G', why },
    });
    const made = job(seal('reused', 'still proud'), seal('renewed', ''));
    expect(made.seals.map(({ decision, instead }) => [decision, instead?.decision])).toEqual([['renewed', 'reused']]);
    expect(rows(made, 'Used and fitted')[0]).toBe('Body gasket | renewed | G · before: reused, still proud');
  });
});

describe('an outboard', () => {
  it('is proved as it ran, and the sheet says how', () => {
    const made = job(
      { type: 'take-measurement', data: { id: 'm', kind: 'idle-rpm', when: 'after', value: 1300, place: 'water' } },
      { type: 'record-proof', data: { check: 'leaks', result: 'good', note: '', place: 'hose' } },
    );
    expect(rows(made, 'Proved')[0]).toContain('1300 rpm after, on the water');
    expect(rows(made, 'Proved').some((line) => line.endsWith('| good | on the hose'))).toBe(true);
  });
});

describe('an amount that was only estimated', () => {
  it('stays about, on its own and in the sum', () => {
    const caught = (id: string, amountText: string): CommandBody =>
      ({
        type: 'record-coolant',
        data: { ...SAMPLES['record-coolant'].data, id, kind: 'caught', amountText },
      }) as CommandBody;
    const made = job(caught('a', '0.4 L'), caught('b', 'about 200 cc'));
    expect(format(made.coolant[1]!.quantity)).toBe('about 200 mL');
    expect(rows(made, 'Coolant').find((line) => line.startsWith('Caught'))).toBe('Caught | about 0.60 L');
    expect(besideMetric({ value: 5, unit: 'mi', text: 'about 5' })).toBe('about 5 mi (8.0 km)');
  });
});
