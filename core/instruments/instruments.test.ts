import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FIELDS } from '../quantity/index.ts';
import {
  fitFigure,
  heardIn,
  idLine,
  type InstrumentId,
  measures,
  readingLine,
  standingOf,
  type TimedReading,
} from './index.ts';

const SCALE: InstrumentId = {
  kind: 'scale',
  name: 'Bench scale',
  low: 0,
  high: 5000,
  unit: 'g',
  calibratedOn: '2026-03-02',
};
const WRENCH: InstrumentId = {
  kind: 'torque-wrench',
  name: 'Wrench 4',
  low: 2,
  high: 20,
  unit: 'N·m',
  calibratedOn: null,
};
const METER: InstrumentId = { kind: 'multimeter', name: 'Meter', low: 0, high: 60, unit: 'V', calibratedOn: null };

describe('a line of an instrument', () => {
  it('goes both ways', () => {
    for (const id of [SCALE, WRENCH]) expect(heardIn(idLine(id))).toEqual({ kind: 'id', id });
    fc.assert(
      fc.property(
        fc.array(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), { minLength: 1, maxLength: 4 }),
        fc.boolean(),
        (all, peak) => {
          const values = all.map((value) => Math.round(value * 1000) / 1000 + 0);
          const reading = { values, unit: 'kPa', peak, angleDeg: peak ? 43 : null };
          expect(heardIn(readingLine(reading))).toEqual({ kind: 'reading', reading });
        },
      ),
    );
    expect(heardIn('reading;OL;V;live')).toMatchObject({ reading: { values: null } });
  });
  it.each([
    ['id;toaster;x;0;1;V;', /what kind of instrument/],
    ['id;scale;x;5;1;g;', /its range/],
    ['reading;fast;g;live', /numbers/],
    ['reading;1;g;maybe', /live or peak/],
    ['hello', /a reading/],
  ])('that is garbled says so: %s', (line, words) => {
    const heard = heardIn(line);
    expect(heard.kind === 'garbled' && heard.words).toMatch(words);
  });
});

describe('a reading comes to rest', () => {
  const live = (at: number, value: number | null, unit = 'g'): TimedReading => ({
    at,
    reading: { values: value === null ? null : [value], unit, peak: false, angleDeg: null },
  });
  const series = (shows: (at: number) => number, count = 8): TimedReading[] =>
    Array.from({ length: count }, (_, index) => live(index * 0.2, shows(index * 0.2)));
  it('once it stands still for 0.8 s; one that moves, or is short, has not', () => {
    expect(
      standingOf(
        series(() => 412.3),
        5000,
      ),
    ).toEqual({ state: 'steady', values: [412.3], unit: 'g', angleDeg: null });
    expect(
      standingOf(
        series((at) => 100 * at),
        5000,
      ).state,
    ).toBe('moving');
    expect(
      standingOf(
        series(() => 412, 3),
        5000,
      ).state,
    ).toBe('moving');
    expect(standingOf([], 5000).state).toBe('waiting');
    expect(standingOf([...series(() => 412), live(1.7, null)], 5000).state).toBe('overload');
  });
  it('under noise within a hundredth, at the middle of what it showed', () => {
    const noisy = series((at) => 400 + (at % 0.4 < 0.1 ? 1 : -1));
    expect(standingOf(noisy, 5000)).toMatchObject({ state: 'steady', values: [expect.closeTo(400, -1)] });
    expect(
      standingOf(
        series((at) => 400 + 20 * Math.sin(9 * at)),
        5000,
      ).state,
    ).toBe('moving');
  });
  it('at once where it is a peak, with its angle', () => {
    const peak: TimedReading = { at: 0, reading: { values: [9.1], unit: 'N·m', peak: true, angleDeg: 43 } };
    expect(standingOf([peak], 18)).toEqual({ state: 'steady', values: [9.1], unit: 'N·m', angleDeg: 43 });
  });
});

describe('a figure fits a field', () => {
  it('in the unit of the field, with the decimals that the instrument showed', () => {
    expect(fitFigure(SCALE, 412.3, 'g', FIELDS.canGrams)).toMatchObject({ ok: true, text: '412.3 g', value: 412.3 });
    expect(fitFigure(METER, 0.512, 'V', FIELDS.sensorVolts)).toMatchObject({ ok: true, text: '0.512 V' });
    expect(fitFigure(METER, 512, 'mV', FIELDS.sensorVolts)).toMatchObject({
      ok: true,
      text: '0.5 V',
      value: expect.closeTo(0.512, 9),
    });
    expect(fitFigure(WRENCH, 80, 'in·lb', FIELDS.torqueReached)).toMatchObject({ ok: true, text: '80 in·lb' });
    expect(measures(SCALE, FIELDS.canGrams)).toBe(true);
    expect(measures(SCALE, FIELDS.sensorVolts)).toBe(false);
  });
  it('or says why not: another unit, out of its range, a word that is none', () => {
    expect(fitFigure(METER, 12, 'Ω', FIELDS.sensorVolts)).toMatchObject({
      ok: false,
      message: expect.stringContaining('stands at Ω'),
    });
    expect(fitFigure(SCALE, 6000, 'g', FIELDS.canGrams)).toMatchObject({
      ok: false,
      message: expect.stringContaining('0 to 5000 g'),
    });
    expect(fitFigure(WRENCH, 25, 'N·m', FIELDS.torqueReached).ok).toBe(false);
    expect(fitFigure(SCALE, 4, 'furlong', FIELDS.canGrams)).toMatchObject({
      ok: false,
      message: expect.stringContaining('furlong'),
    });
  });
});
