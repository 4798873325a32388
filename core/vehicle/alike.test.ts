import { describe, expect, it } from 'vitest';
import { anotherLike, familyOf, isLooseUnit, type Vehicle } from './index.ts';

const van: Vehicle = {
  id: 'van',
  plate: 'TQ 41',
  vin: 'XNP25KA41WT004170',
  make: 'Calder',
  model: 'Wick',
  nickname: 'post van 1',
  year: 2011,
  engine: '1.4 L four',
  throttle: 'electronic',
  idleValve: 'none',
  owner: 'Island post',
  meterUnit: 'km',
  use: 'road',
  lastReading: { value: 120_000, unit: 'km' },
  figures: { idleRpm: { low: 650, high: 750, source: 'book' }, valveDuty: null, closedVolts: null },
  units: [
    { id: 'a', kind: 'throttle-body', place: 'left bank', partNumber: 'TB-1', variant: 'K' },
    { id: 'b', kind: 'throttle-body', place: 'right bank', partNumber: 'TB-1', variant: 'K' },
  ],
  notes: 'short trips',
  computer: 'E4',
};

describe('another like one', () => {
  it('has what its kind has, and nothing that is a fact of the other one', () => {
    let next = 0;
    const other = anotherLike(van, 'van-2', () => `u${(next += 1)}`);
    expect(other).toMatchObject({ id: 'van-2', make: 'Calder', model: 'Wick', throttle: 'electronic', year: 2011 });
    expect([other.plate, other.vin, other.nickname, other.owner, other.notes]).toEqual(['', '', '', '', '']);
    expect([other.lastReading, other.knownSince]).toEqual([null, null]);
    expect(other.units).toEqual([
      { id: 'u1', kind: 'throttle-body', place: 'left bank', partNumber: '', variant: '' },
      { id: 'u2', kind: 'throttle-body', place: 'right bank', partNumber: '', variant: '' },
    ]);
  });
});

describe('a family of one vehicle', () => {
  it('takes its engine, figures, variant, and its units with their places', () => {
    const family = familyOf(van, 'f');
    expect(family).toMatchObject({
      id: 'f',
      name: 'Calder Wick',
      engine: '1.4 L four',
      layout: 'per-bank',
      use: 'road',
      computers: ['E4'],
      figures: { idleRpm: { low: 650, high: 750 } },
    });
    expect(family.unitTypes).toMatchObject([
      { kind: 'throttle-body', places: ['left bank', 'right bank'], partNumber: 'TB-1', source: 'as fitted on TQ 41' },
    ]);
    expect(family.unitTypes[0]?.expected.mark).toBe('K');
    expect('valveDuty' in family.figures).toBe(false);
  });
  it('of a vehicle with one unit, or none noted', () => {
    expect(familyOf({ ...van, units: van.units.slice(0, 1) }, 'f').layout).toBe('single');
    expect(familyOf({ ...van, units: [], computer: '' }, 'f')).toMatchObject({ unitTypes: [], layout: 'single' });
    expect(isLooseUnit({ use: 'loose' })).toBe(true);
  });
});
