import { describe, expect, it } from 'vitest';
import { speaker } from '../../sheet/index.ts';
import type { Implausible, TraceFigureKind } from '../../trace/index.ts';
import { oddWords } from './oddWords.ts';
import {
  type CommandBody,
  displacementOf,
  figureGood,
  figureMeans,
  figuresJudged,
  figureText,
  type Job,
  openPoints,
  proofOf,
  reportBy,
  sheetOf,
  vehicleDone,
} from '../index.ts';
import { play } from '../testing/play.ts';
import { back, off, open, pin, SAMPLE_VEHICLE } from '../testing/samples.ts';
import { run } from '../testing/steps.ts';
import { swinging } from './samples.ts';

type Figures = Partial<Record<TraceFigureKind, number>>;
const recorded = (when: 'before' | 'after', figures: Figures, more: Partial<typeof swinging> = {}): CommandBody => ({
  type: 'keep-recording',
  data: {
    ...swinging,
    id: `rec-${when}-${Object.keys(figures).join('-')}`,
    when,
    figures: Object.entries(figures).map(([kind, value]) => ({
      kind: kind as TraceFigureKind,
      value,
      sd: null,
      from: 0,
      to: 60,
    })),
    ...more,
  },
});
const made = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const verdict = (kind: TraceFigureKind, before: number | null, after: number | null): string | undefined =>
  figuresJudged(
    made(
      ...(before === null ? [] : [recorded('before', { [kind]: before })]),
      ...(after === null ? [] : [recorded('after', { [kind]: after })]),
    ),
  ).find((each) => each.kind === kind)?.verdict;

describe('what recordings show, before against after', () => {
  it.each([
    ['swing', 140, 0, 'gone'],
    ['swing', 140, 130, 'still there'],
    ['swing', 100, 140, 'worse'],
    ['swing', 0, 90, 'worse'],
    ['swing', null, 0, 'good'],
    ['swing', null, 90, 'failed'],
    ['swing', 140, null, 'not tried'],
    ['settle', 8.6, 1.3, 'gone'],
    ['settle', 8.6, 6, 'still there'],
    ['sweep-drop-outs', 2, 0, 'gone'],
    ['trim-idle', 18, 3, 'gone'],
    ['trim-idle', -18, -16, 'still there'],
    ['tracks-apart', 0.4, 6, 'worse'],
    // The sample’s idle band is 1200 to 1400.
    ['idle', 1000, 1300, 'gone'],
    ['blip-lowest', 800, 1250, 'gone'],
    ['air-mass', 3, 4, 'shown'],
    ['gap-area', 1.4, 4.5, 'shown'],
  ] as const)('%s from %s to %s is %s', (kind, before, after, expected) => {
    expect(verdict(kind, before, after)).toBe(expected);
  });
  it('takes the last of each, and counts none from before something came off again', () => {
    const job = made(
      recorded('before', { swing: 140 }),
      recorded('after', { swing: 90 }),
      recorded('after', { swing: 0, settle: 1.2 }),
    );
    expect(figuresJudged(job).map(({ kind, verdict: each }) => [kind, each])).toEqual([
      ['swing', 'gone'],
      ['settle', 'good'],
    ]);
    const again = made(
      pin,
      recorded('before', { swing: 140 }),
      recorded('after', { swing: 0 }),
      off('cover'),
      back('cover'),
    );
    expect(figuresJudged(again)[0]).toMatchObject({
      verdict: 'not tried',
      remark: 'recorded before the sample cover came off',
    });
  });
  it('proves the line of the complaint that it is about, unless somebody says otherwise', () => {
    const both = [recorded('before', { swing: 140 }), recorded('after', { swing: 0 })];
    const line = (job: Job) => proofOf(job).lines.find(({ id }) => id === 'sign:hunting');
    expect(line(made(...both))).toMatchObject({ before: '±140 rpm', after: 'no swing', verdict: 'gone' });
    const said: CommandBody = {
      type: 'try-line',
      data: { line: 'sign:hunting', words: '', verdict: 'still there', came: 'on the road' },
    };
    expect(line(made(...both, said))).toMatchObject({ verdict: 'still there', after: 'on the road' });
  });
  it('leaves a figure to what was measured by hand', () => {
    const job = made(recorded('after', { idle: 900 }), {
      type: 'take-measurement',
      data: { id: 'm', kind: 'idle-rpm', when: 'after', value: 1300 },
    });
    expect(proofOf(job).lines.map(({ id }) => id)).not.toContain('trace:idle');
  });
  it('is worse only where it is further from where it should be', () => {
    const of = (kind: TraceFigureKind, before: number, after: number) =>
      proofOf(made(recorded('before', { [kind]: before }), recorded('after', { [kind]: after }))).lines.find(
        ({ id }) => id === `trace:${kind}`,
      )!.verdict;
    // The sample’s idle band is 1200 to 1400.
    expect(of('loads-lowest', 400, 700)).toBe('still there');
    expect(of('loads-lowest', 700, 400)).toBe('worse');
    expect(of('idle', 1500, 1050)).toBe('worse');
    expect(of('idle', 900, 1500)).toBe('still there');
    expect(of('trim-idle', -14, 20)).toBe('worse');
  });
  it('stays open at the hand-over where it fails, and stands on the sheet', () => {
    const job = made(recorded('before', { swing: 140 }), recorded('after', { swing: 120 }, { ended: 'lost' }));
    expect(openPoints(job).map(({ words }) => words)).toContain('Idle swings by: still there, ±120 rpm');
    const rows = sheetOf(job, speaker(new Map(), 'cr', 'UTC')).sections.find(({ title }) => title === 'Proved')!.rows;
    expect(rows.map(({ label, value }) => `${label}: ${value}`)).toEqual(
      expect.arrayContaining([
        'Live data, before: 60 s of 1 values',
        'Live data, after: 60 s of 1 values, lost in the middle',
        'Idle swings by: ±140 rpm before, ±120 rpm after',
      ]),
    );
  });
  it('says each figure in its unit, and what a bad one means', () => {
    const job = made();
    expect(figureText('settle', { value: 1.34 })).toBe('1.3 s');
    expect(figureText('settle', { value: 12, atLeast: true })).toBe('over 12.0 s');
    expect(figureText('gap-area', { value: 4.52 })).toBe('4.5 mm²');
    expect(figureText('sweep-drop-outs', { value: 2 })).toBe('2');
    expect(figureText('valve-curve', { value: 0.402 })).toBe('0.40 mm²');
    for (const [kind, bad] of Object.entries({
      swing: 90,
      settle: 8,
      'blip-lowest': 600,
      'loads-lowest': 600,
      'trim-idle': 18,
      'trim-held': 18,
      'sweep-drop-outs': 1,
      'sweep-flat': 1,
      'tracks-apart': 5,
      idle: 900,
    }) as [TraceFigureKind, number][]) {
      expect(figureGood(job, kind, bad)).toBe(false);
      expect(figureMeans(job, kind, bad)).not.toBe('');
    }
    expect(figureGood(job, 'duty', 33)).toBeNull();
  });
  it('says what cannot be, with what would be expected', () => {
    const odd = (what: Implausible['what'], role: Implausible['role'] = 'manifold') =>
      oddWords({ role, what, value: 36, expected: { low: 97, high: 105 }, unit: 'kPa' });
    expect(odd('manifold-key-on')).toBe(
      'Manifold pressure 36 kPa with the engine standing: expected the air outside, 97 to 105 kPa',
    );
    for (const what of ['stuck', 'cold-apart', 'air-mass-apart', 'supply', 'above-supply'] as const)
      expect(odd(what)).toContain('36 kPa');
  });
  it('keeps none in which nothing was read', () => {
    expect(() => made(recorded('before', {}, { readings: 0 }))).toThrow(/Nothing was recorded/);
  });
});

describe('what a recording is judged by', () => {
  it('takes the displacement from the words of the engine', () => {
    expect(['2.5 L four', '1,4 l', '650 cc single', '900 four', 'V8', '45 hp outboard'].map(displacementOf)).toEqual([
      2.5,
      1.4,
      0.65,
      0.9,
      null,
      null,
    ]);
    expect(reportBy(SAMPLE_VEHICLE)).toEqual({ idleBand: { low: 1200, high: 1400, source: null }, air: null });
    const driven = { ...SAMPLE_VEHICLE, engine: '1.4 L', throttle: 'electronic' as const };
    const bore = { portMm: 46, gasket: '', pins: null, drive: '', mark: '' };
    expect(reportBy({ ...driven, units: [{ ...SAMPLE_VEHICLE.units[0]!, features: bore }] }).air).toEqual({
      displacementL: 1.4,
      boreMm: 46,
      bodies: 1,
      valveMm2PerPercent: null,
    });
  });
});

describe('what an engine would notice of the work', () => {
  it('a plug that is off, and on again', () => {
    expect(vehicleDone(made(pin, off('plug'))).faults).toEqual({ throttleUnplugged: true });
    expect(vehicleDone(made(pin, off('plug'), back('plug'))).faults).toEqual({});
  });
  it('a relearn that took', () => {
    expect(vehicleDone(made(run)).relearned).toBe(false);
    const closed = {
      ...made(run),
      runs: made(run).runs.map((each) => ({ ...each, closed: { at: '', by: '', outcome: 'took' as const, why: '' } })),
    };
    expect(vehicleDone(closed).relearned).toBe(true);
  });
  it('a unit that was cleaned or replaced, a seal that was renewed', () => {
    const job = made();
    const passed = { ...job, passes: [{ unit: 'u' }] as unknown as Job['passes'] };
    expect(vehicleDone(passed).faults).toMatchObject({ depositMm2: 0, valveStickPercent: 0 });
    const replaced = { ...job, replaced: [{ kind: 'idle-valve' }] as unknown as Job['replaced'] };
    expect(vehicleDone(replaced).faults).toMatchObject({ deadCoil: false, valveFactor: 1 });
    const sealed = { ...job, seals: [{ decision: 'renewed' }] as unknown as Job['seals'] };
    expect(vehicleDone(sealed).faults).toEqual({ leakMm2: 0 });
  });
});
