import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UNIT_FORMS, type UnitForm } from '../clean/index.ts';
import {
  coilAt20,
  GRADE_LOOKS,
  GRADES,
  type InspectPoint,
  isPointProblem,
  judgePoint,
  type Limit,
  limitOf,
  objections,
  pointOf,
  type PointInput,
  POINTS,
  pointsFor,
  readLight,
  spokenBy,
} from './index.ts';

const forms = Object.keys(UNIT_FORMS) as UnitForm[];
const typed = (...texts: string[]): PointInput => ({ marks: [], outcome: '', typed: texts });
const point = (id: string): InspectPoint => pointOf(id)!;
const shop = (id: string): Limit | null => limitOf(point(id), {}, null, 'throttle-body');
const judge = (id: string, input: PointInput, limit = shop(id)) => {
  const found = judgePoint(point(id), input, limit);
  if (isPointProblem(found)) throw new Error(found.message);
  return found;
};

describe('the walk', () => {
  it.each(forms)('%s is looked at from front to electrics, each stop with how and why', (form) => {
    const points = pointsFor(form);
    expect(points.length).toBeGreaterThan(4);
    for (const each of points) {
      expect(each.how.length).toBeGreaterThan(10);
      expect(each.why.length).toBeGreaterThan(5);
      expect(each.consequence.length).toBeGreaterThan(5);
    }
  });
  it('has every stop once, and a look for every grade', () => {
    expect(new Set(POINTS.map(({ id }) => id)).size).toBe(POINTS.length);
    expect(GRADE_LOOKS).toHaveLength(GRADES.length);
  });
  it('asks of each what it has', () => {
    const ids = (form: UnitForm) => pointsFor(form).map(({ id }) => id);
    expect(ids('cable')).toContain('dashpot');
    expect(ids('electronic')).not.toContain('stop-screw');
    expect(ids('electronic')).toContain('gears');
    expect(ids('rotary-valve')).not.toContain('light');
    expect(ids('diesel-flap')).not.toContain('light');
  });
});

describe('readLight', () => {
  const ring = (...marks: number[]) => marks;
  it.each([
    [ring(1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1), 'even', true],
    [ring(1, 1, 2, 1, 1, 1, 1, 1, 1, 1, 1, 1), 'even', true],
    [ring(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0), 'blocked', false],
    [ring(2, 2, 2, 2, 2, 2, 2, 2, 2, 2, 2, 2), 'wide', false],
    [ring(2, 2, 1, 1, 0, 0, 0, 0, 0, 1, 1, 2), 'one-sided', false],
    [ring(2, 2, 1, 0, 0, 1, 2, 2, 1, 0, 0, 1), 'two-sided', false],
    [ring(1, 1, 1, 1, 0, 0, 1, 1, 1, 1, 1, 1), 'patchy', false],
  ])('%j is %s', (marks, verdict, even) => {
    expect(readLight(marks)).toMatchObject({ verdict, even });
  });
  it('says at which hour it is widest', () => {
    expect(readLight(ring(0, 1, 2, 2, 2, 1, 0, 0, 0, 0, 0, 0)).widestAt).toBe(3);
    expect(readLight(ring(2, 2, 1, 1, 0, 0, 0, 0, 0, 1, 1, 2)).widestAt).toBe(12);
  });
  it('says the same of a ring that was turned, but for the hour', () => {
    const mark = fc.constantFrom(0, 1, 2);
    fc.assert(
      fc.property(fc.array(mark, { minLength: 12, maxLength: 12 }), fc.nat(11), (marks, by) => {
        const turned = [...marks.slice(by), ...marks.slice(0, by)];
        const [a, b] = [readLight(marks), readLight(turned)];
        expect(b.verdict).toBe(a.verdict);
        expect(b.tilt).toBeCloseTo(a.tilt, 9);
        expect(b.oval).toBeCloseTo(a.oval, 9);
      }),
    );
  });
  it('refuses what is no ring', () => {
    expect(() => readLight([1, 1])).toThrow('12 sectors');
    expect(() => readLight(Array.from({ length: 12 }, () => 3))).toThrow('none, thin or wide');
  });
});

describe('coilAt20', () => {
  it('takes warm copper back to 20 °C', () => {
    expect(coilAt20(10, 20)).toBe(10);
    // 1 + 0.00393 × 64 = 1.25152
    expect(coilAt20(13.1, 84)).toBeCloseTo(10.4672, 3);
    expect(coilAt20(9, -10)).toBeGreaterThan(9);
  });
  it.each([
    [0, 20, 'more than 0 Ω'],
    [10, 300, '−40 to 180'],
  ])('refuses %d Ω at %d °C', (ohms, celsius, message) => {
    expect(() => coilAt20(ohms, celsius)).toThrow(message);
  });
});

describe('judgePoint', () => {
  it('judges a figure against the family’s limit with its source, else the shop’s', () => {
    const family = limitOf(point('play'), { shaftPlay: { low: 0, high: 0.25, source: 'book' } }, null, 'throttle-body');
    expect(family).toEqual({ low: null, high: 0.25, unit: 'mm', source: 'book' });
    expect(judge('play', typed('0.2'), family)).toMatchObject({ verdict: 'good', limit: family });
    expect(judge('play', typed('0.2'))).toMatchObject({ verdict: 'bad', cure: 'replace' });
    expect(judge('play', typed('0,13 mm'))).toMatchObject({ verdict: 'watch' });
    expect(judge('play', typed('0.05'))).toMatchObject({ verdict: 'good', cure: null });
    expect(judge('play', typed('0.2')).words).toBe('0.2 mm; at most 0.15 mm.');
  });
  it('corrects a coil before it judges it: warm is not high', () => {
    const limit = limitOf(point('coil'), { coilOhms: { low: 9, high: 13, source: 'book' } }, null, 'idle-valve');
    expect(judge('coil', typed('14', '85'), limit)).toMatchObject({ verdict: 'good', outcome: 'in-band' });
    expect(judge('coil', typed('14', '20'), limit)).toMatchObject({ verdict: 'bad', outcome: 'open' });
    expect(judge('coil', typed('7', '20'), limit)).toMatchObject({ verdict: 'bad', outcome: 'short', cure: 'replace' });
    expect(judge('coil', typed('14', '85'), limit).words).toContain('Ω at 20 °C');
  });
  it('measures a gasket against a new one', () => {
    expect(judge('gasket-height', typed('1.4', '2.0'))).toMatchObject({ verdict: 'bad', value: 70, cure: 'renew' });
    expect(judge('gasket-height', typed('1.95', '2.0'))).toMatchObject({ verdict: 'good' });
  });
  it('judges a port by what the computer expects', () => {
    const family = {
      unitTypes: [
        {
          id: 'tb',
          kind: 'throttle-body' as const,
          name: '',
          places: [],
          partNumber: '',
          expected: { portMm: 52, gasket: '', pins: null, drive: '', mark: '' },
          prices: { new: null, rebuilt: null, used: null },
          daysToGet: null,
          source: 'book',
        },
      ],
    };
    const limit = limitOf(point('port'), {}, family, 'throttle-body');
    expect(judge('port', typed('52.2'), limit).verdict).toBe('good');
    expect(judge('port', typed('48'), limit).verdict).toBe('bad');
    expect(judge('port', typed('48'), limitOf(point('port'), {}, null, 'throttle-body')).verdict).toBe('noted');
  });
  it('knows what each answer and each grade leads to', () => {
    const pick = (id: string, outcome: string) => judge(id, { marks: [], outcome, typed: [] });
    expect(pick('gears', 'broken')).toMatchObject({ verdict: 'bad', cure: 'replace' });
    expect(pick('valve-free', 'stuck')).toMatchObject({ verdict: 'bad', cure: 'clean' });
    expect(pick('stop-screw', 'sealed')).toMatchObject({ verdict: 'good', cure: null });
    const graded = (grade: number) => judge('deposit-edge', { marks: [grade], outcome: '', typed: [] });
    expect([0, 1, 2, 3, 4].map((grade) => graded(grade).verdict)).toEqual(['good', 'good', 'watch', 'bad', 'bad']);
  });
  it('takes a one-sided light for a bent plate, a dark one for deposit', () => {
    const light = (marks: number[]) => judge('light', { marks, outcome: '', typed: [] });
    expect(light([2, 2, 1, 1, 0, 0, 0, 0, 0, 1, 1, 2])).toMatchObject({ cure: 'replace', outcome: 'uneven' });
    expect(light(Array.from({ length: 12 }, () => 0))).toMatchObject({ cure: 'clean', outcome: 'blocked' });
    expect(light(Array.from({ length: 12 }, () => 1))).toMatchObject({ verdict: 'good', outcome: 'even', cure: null });
  });
  it.each([
    ['play', typed(''), 'What was measured?'],
    ['play', typed('wide'), 'Expected a number'],
    ['play', typed('9'), 'Expected 0 to 5 mm'],
    ['coil', typed('12', ''), 'How warm is the coil'],
    ['gasket-height', typed('1.2', ''), 'And a new one?'],
    ['gears', { marks: [], outcome: 'green', typed: [] }, 'Pick one: whole'],
    ['deposit-edge', { marks: [7], outcome: '', typed: [] }, 'grade from 0 to 4'],
    ['light', { marks: [1, 1], outcome: '', typed: [] }, 'all twelve sectors'],
  ] as const)('refuses a wrong entry at %s', (id, input, message) => {
    const found = judgePoint(point(id), input, null);
    expect(isPointProblem(found) ? found.message : '').toContain(message);
  });
});

describe('objections', () => {
  const judged = (
    pointId: string,
    cure: 'clean' | 'renew' | 'rebuild' | 'replace',
    verdict: 'bad' | 'watch' = 'bad',
  ) => ({
    unit: 'throttle-body',
    point: pointId,
    verdict,
    cure,
    words: '0.3 mm; at most 0.1 mm.',
  });
  it('says what the choice will not cure', () => {
    expect(objections('clean-bench', [judged('body-flat', 'replace')])[0]?.words).toBe(
      'Body flatness: 0.3 mm; at most 0.1 mm. Cleaning will not cure that.',
    );
    expect(objections('rebuild', [judged('body-flat', 'replace')])[0]?.words).toContain(
      'A rebuild will not cure that.',
    );
    expect(objections('replace', [judged('body-flat', 'replace')])).toEqual([]);
    expect(objections('clean-bench', [judged('deposit-edge', 'clean'), judged('ring', 'renew')])).toEqual([]);
    expect(objections('relearn', [judged('deposit-edge', 'clean')])[0]?.words).toContain('A relearn will not');
    expect(objections('clean-bench', [judged('body-flat', 'replace', 'watch')])).toEqual([]);
    expect(objections('elsewhere', [judged('body-flat', 'replace')])).toEqual([]);
  });
});

describe('words for the eye and the hand', () => {
  const felt = (outcome: string): PointInput => ({ marks: [], outcome, typed: [''] });
  it.each(POINTS.filter((each) => each.felt.length > 0).map((each) => [each.id, each] as const))(
    '%s can be felt: noted where it is well, never good, and marked as not measured',
    (_, each) => {
      const verdicts = each.felt.map(({ id }) => judgePoint(each, felt(id), limitOf(each, {}, null, 'throttle-body')));
      for (const judged of verdicts) {
        if (isPointProblem(judged)) throw new Error(judged.message);
        expect(judged.verdict).not.toBe('good');
        expect(judged.words).toContain('by eye or hand, not measured');
        expect(judged.value).toBeNull();
      }
      expect(verdicts.map((judged) => !isPointProblem(judged) && judged.verdict)).toContain('noted');
      expect(verdicts.some((judged) => !isPointProblem(judged) && judged.verdict !== 'noted')).toBe(true);
    },
  );
  it('stand for every figure of the walk but the coil’s, which no hand can feel', () => {
    const figures = POINTS.filter(({ entry }) => ['figure', 'against-new', 'ohms'].includes(entry.kind));
    expect(figures.filter((each) => each.felt.length === 0).map(({ id }) => id)).toEqual(['coil']);
    expect(judgePoint(point('coil'), felt('warm'), shop('coil'))).toMatchObject({ message: /only be measured/ });
  });
  it('give way to a figure, and are refused when they are none of the point’s', () => {
    expect(judge('play', { marks: [], outcome: 'none-felt', typed: ['0.3'] }).verdict).toBe('bad');
    expect(judgePoint(point('play'), felt('sings'), shop('play'))).toMatchObject({ message: /no play felt/ });
  });
  it('speak of the causes as figures do', () => {
    expect(spokenBy('play', 'cable', judge('play', felt('rocks')), 'rocks')).toMatchObject({ outcome: 'felt' });
    expect(spokenBy('play', 'cable', judge('play', felt('none-felt')), 'none-felt')).toMatchObject({ outcome: 'none' });
    expect(spokenBy('dashpot', 'cable', judge('dashpot', felt('dead')), 'dead')).toMatchObject({ outcome: 'dead' });
    expect(spokenBy('dashpot', 'cable', judge('dashpot', felt('holds')), 'holds')).toMatchObject({ outcome: 'holds' });
    expect(spokenBy('dashpot', 'cable', judge('dashpot', felt('damps')), 'damps')).toMatchObject({ outcome: 'right' });
  });
  it('leave *about* standing in a figure', () => {
    expect(judge('play', typed('about 0.3')).words).toContain('about 0.3 mm');
  });
});
