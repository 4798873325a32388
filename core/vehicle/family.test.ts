import { describe, expect, it } from 'vitest';
import { SAMPLE_FAMILY, SAMPLE_VEHICLE } from '../job/testing/samples.ts';
import {
  codesInText,
  figuresOf,
  groupOf,
  hasIdleValve,
  type LifeEntry,
  lifeProblem,
  livedOn,
  matchVariant,
  UNKNOWN_VARIANT,
  type UnitObject,
  unitTypeOf,
  type VariantFeatures,
} from './index.ts';

const EXPECTED: VariantFeatures = { portMm: 52, gasket: 'square, four holes', pins: 3, drive: 'cable', mark: 'C' };

describe('matchVariant', () => {
  it.each<[string, Partial<VariantFeatures>, string]>([
    ['the same', {}, 'fits'],
    ['written in another way', { gasket: 'Square four  holes.', mark: 'c' }, 'fits'],
    ['a port within what callipers show', { portMm: 52.3 }, 'fits'],
    ['a port beyond it', { portMm: 52.4 }, 'fits, but sets idle codes'],
    ['another mark', { mark: 'D' }, 'fits, but sets idle codes'],
    ['another drive', { drive: 'motor' }, 'fits, but sets idle codes'],
    ['another gasket outline', { gasket: 'oval' }, 'does not fit'],
    ['another plug', { pins: 6 }, 'does not fit'],
    ['another plug and port', { pins: 6, portMm: 40 }, 'does not fit'],
  ])('%s', (_, change, verdict) => {
    expect(matchVariant(EXPECTED, { ...EXPECTED, ...change }).verdict).toBe(verdict);
  });
  it('names every feature that differs, with what it leads to', () => {
    const match = matchVariant(EXPECTED, { ...EXPECTED, portMm: 48, mark: '' });
    expect(match.differs).toEqual([
      {
        feature: 'portMm',
        expected: '52 mm',
        found: '48 mm',
        leadsTo: 'idle codes',
        why: 'the computer counts on another amount of air',
      },
    ]);
    expect(match.words).toBe(
      'Fits, but sets idle codes: port diameter 48 mm, expected 52 mm: the computer counts on another amount of air. Not compared: variant mark.',
    );
    expect(match.unknown).toEqual(['mark']);
  });
  it('judges nothing by nothing', () => {
    expect(matchVariant(EXPECTED, UNKNOWN_VARIANT)).toMatchObject({ verdict: 'not known', differs: [] });
  });
});

describe('families', () => {
  it('lend their figures; the vehicle’s own come first', () => {
    expect(figuresOf(SAMPLE_VEHICLE, SAMPLE_FAMILY)).toMatchObject({
      idleRpm: { low: 1200 },
      closedVolts: { source: 'sample' },
    });
    expect(
      figuresOf(
        { figures: { ...SAMPLE_VEHICLE.figures, closedVolts: { low: 1, high: 2, source: null } } },
        SAMPLE_FAMILY,
      ).closedVolts?.low,
    ).toBe(1);
  });
  it.each([
    [{ throttle: 'cable', meterUnit: 'km' }, null, 'cable'],
    [{ throttle: 'cable', meterUnit: 'h' }, null, 'outboard'],
    [{ throttle: 'cable', meterUnit: 'km' }, { use: 'motorcycle' }, 'motorcycle'],
    [{ throttle: 'electronic', meterUnit: 'km' }, { layout: 'per-bank' }, 'multi-bank'],
    [{ throttle: 'cable', meterUnit: 'km' }, { throttle: 'diesel-flap' }, 'diesel-flap'],
    [{ throttle: 'cable', meterUnit: 'h' }, { use: 'outboard' }, 'outboard'],
  ] as const)('%j in %j fails like %s', (vehicle, family, group) => {
    expect(groupOf(vehicle, family === null ? null : { ...SAMPLE_FAMILY, ...family })).toBe(group);
  });
  it('know whether there is a valve, and what a place takes', () => {
    expect(hasIdleValve({ idleValve: 'none' }, SAMPLE_FAMILY)).toBe(true);
    expect(hasIdleValve({ idleValve: 'none' }, null)).toBe(false);
    expect(unitTypeOf(SAMPLE_FAMILY, 'throttle-body')?.partNumber).toBe('S-1');
    expect(unitTypeOf(SAMPLE_FAMILY, 'idle-valve')).toBeNull();
  });
});

describe('the life of a unit', () => {
  const unit = (state: UnitObject['state'], vehicleId: string | null = null): UnitObject => ({
    id: 'u',
    kind: 'throttle-body',
    partNumber: '',
    features: EXPECTED,
    vehicleId,
    place: '',
    state,
  });
  const entry = (kind: LifeEntry['kind'], vehicleId: string | null = null) => ({ kind, vehicleId, place: 'left bank' });
  it('goes from the breaker to a vehicle, to another, to scrap', () => {
    let own = unit('on the shelf');
    for (const step of [
      entry('bought'),
      entry('fitted', 'bus'),
      entry('taken-off'),
      entry('fitted', 'farm'),
      entry('taken-off'),
      entry('scrapped'),
      entry('noted'),
    ]) {
      expect(lifeProblem(own, step), step.kind).toBeNull();
      own = livedOn(own, step);
    }
    expect(own).toMatchObject({ state: 'scrapped', vehicleId: null });
  });
  it.each([
    [unit('scrapped'), entry('fitted', 'bus'), /was scrapped/],
    [unit('sold'), entry('fitted', 'bus'), /bought again/],
    [unit('on the shelf'), entry('fitted'), /Which vehicle/],
    [unit('fitted', 'farm'), entry('fitted', 'bus'), /another vehicle/],
    [unit('on the shelf'), entry('taken-off'), /not fitted/],
    [unit('fitted', 'bus'), entry('scrapped'), /Take it off first/],
  ])('does not jump', (own, step, words) => {
    expect(lifeProblem(own, step)).toMatch(words);
  });
  it('is sold and bought back', () => {
    const sold = livedOn(unit('on the shelf'), entry('sold'));
    expect(sold.state).toBe('sold');
    expect(livedOn(sold, entry('bought')).state).toBe('on the shelf');
  });
});

describe('codes in a printout', () => {
  it('are found whatever stands around them, once each', () => {
    const text =
      'Scan 12 May\n1) P0505  idle control system\nP0171 - pending - system too lean\nsee also p0505, B1342; PO122';
    expect(codesInText(text)).toEqual([
      { code: 'P0505', status: 'stored', note: '1) idle control system' },
      { code: 'P0171', status: 'pending', note: 'system too lean' },
      { code: 'B1342', status: 'stored', note: 'see also' },
      { code: 'P0122', status: 'stored', note: 'see also' },
    ]);
    expect(codesInText('nothing of the kind, EP0505X')).toEqual([]);
  });
});
