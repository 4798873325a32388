import { describe, expect, it } from 'vitest';
import {
  type CsvLayout,
  type CsvRead,
  headingOf,
  pack,
  PackError,
  readCsv,
  type Trace,
  understandCsv,
  unpack,
  writeLongCsv,
  writeWideCsv,
} from '../index.ts';
import { random } from '../../chance/index.ts';
import { channel, unevenTimes } from '../testing.ts';

function read(text: string): CsvRead {
  const layout = understandCsv(text);
  if ('ok' in layout) throw new Error(layout.message);
  const steps = readCsv(text, layout);
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
const refusal = (text: string): string => {
  const found = understandCsv(text);
  return 'ok' in found ? found.message : '';
};
const layoutOf = (text: string): CsvLayout => understandCsv(text) as CsvLayout;
const values = ({ trace }: CsvRead, id: string) =>
  Array.from(trace.channels.find((each) => each.id === id)?.values ?? []);

describe('a file of live data is understood', () => {
  it('with commas and points, units in brackets, time in seconds', () => {
    const found = read('time [s],Engine speed [rpm],Coolant [°C]\n0,812,88\n0.1,820.5,88\n');
    expect(found.trace.channels.map(({ role, unit }) => [role, unit])).toEqual([
      ['rpm', 'rpm'],
      ['coolant', '°C'],
    ]);
    expect(values(found, 'rpm')).toEqual([812, 820.5]);
    expect(Array.from(found.trace.channels[0]!.times)).toEqual([0, 0.1]);
  });
  it('with semicolons and decimal commas, and a unit heading below the names', () => {
    const text =
      'Fahrzeug;Demo\nZeit;Drehzahl;Saugrohrdruck;Drosselklappe\n[ms];[1/min];[mbar];[%]\n0;812,5;361;12,4\n100;815;365;12,5\n';
    expect(layoutOf(text)).toMatchObject({
      separator: ';',
      decimal: ',',
      skip: 3,
      shape: 'wide',
      time: { form: 'milliseconds' },
    });
    const found = read(text);
    expect(values(found, 'rpm')).toEqual([812.5, 815]);
    expect(values(found, 'manifold')[0]).toBeCloseTo(36.1, 6);
    expect(found.trace.channels[0]!.times[1]).toBeCloseTo(0.1, 9);
  });
  it('by tab, with a clock that passes midnight, degrees Fahrenheit and miles an hour', () => {
    const text =
      'Time\tECT (°F)\tVehicle speed (mph)\tSTFT B1 (%)\n23:59:59.5\t190\t10\t1.6\n00:00:00.5\t190\t20\t-1.6\n';
    const found = read(text);
    expect(Array.from(found.trace.channels[0]!.times)).toEqual([0, 1]);
    expect(values(found, 'coolant')[0]).toBeCloseTo(87.78, 2);
    expect(values(found, 'road-speed')[1]).toBeCloseTo(32.19, 2);
    expect(found.problems).toEqual([]);
  });
  it('one row a value, with its unit', () => {
    const text = 'time;name;value;unit\n0;Engine speed;800;rpm\n0;Throttle;12;%\n0,1;Engine speed;805,5;rpm\n';
    const found = read(text);
    expect(layoutOf(text).shape).toBe('long');
    expect(values(found, 'rpm')).toEqual([800, 805.5]);
    expect(values(found, 'plate')).toEqual([12]);
  });
  it('with dates, with quotes, and a vehicle number in the lines before', () => {
    const text =
      '"VIN: XCW14EB28LT001180, read"\n"time","Pedal, D [%]"\n"2026-05-13T10:00:00.000Z","15,7"\n"2026-05-13T10:00:00.250Z","16,1"\n';
    const found = read(text);
    expect(layoutOf(text).vin).toBe('XCW14EB28LT001180');
    expect(values(found, 'pedal')).toEqual([15.7, 16.1]);
    expect(found.trace.channels[0]!.times[1]).toBeCloseTo(0.25, 6);
  });
  it('tells a throttle in volts from one in per cent, and keeps what it does not know', () => {
    expect(headingOf('TPS 1 (V)')).toMatchObject({ role: 'plate', unit: 'V' });
    expect(headingOf('Supply [mV]')).toMatchObject({ role: 'volts', unit: 'V', scale: 0.001 });
    expect(headingOf('MAF (kg/h)').scale).toBeCloseTo(0.2778, 4);
    expect(headingOf('Oil level [mm]')).toMatchObject({ role: null, unit: 'mm', name: 'Oil level' });
    const found = read('t,Oil level [mm]\n0,3\n1,4\n');
    expect(found.trace.channels[0]).toMatchObject({ role: null, name: 'Oil level', unit: 'mm' });
  });
});

describe('a file that is not as it should be', () => {
  it.each([
    ['is empty', '\n\n', /empty/],
    ['has no columns', 'hello\nworld\n', /comma, semicolon, tab or bar/],
    ['has no time', 'rpm,map\n800,36\n801,36\n', /No column of times/],
    ['has no heading', '0,800\n1,801\n', /heading above the values/],
    ['has no numbers', 'time,rpm\nnow,fast\nthen,slow\n', /rows of numbers/],
  ])('is refused when it %s', (_, text, words) => {
    expect(refusal(text)).toMatch(words);
  });
  it('loses only what is wrong: time that goes back, words among numbers, a time that is none', () => {
    const found = read('time,rpm,map\n0,800,36\n1,n/a,36\n0.5,900,37\n2,810,\nx,811,36\n3,812,38\n');
    expect(values(found, 'rpm')).toEqual([800, 810, 812]);
    expect(values(found, 'manifold')).toEqual([36, 36, 38]);
    expect(found.problems).toEqual([
      { line: 3, words: 'rpm: “n/a” is no number' },
      { line: 4, words: 'the time goes back by 0.500 s' },
      { line: 6, words: 'no time: “x”' },
    ]);
  });
  it('counts problems without end, and keeps the first', () => {
    const found = read(
      `time,rpm\n${Array.from({ length: 100 }, (_, at) => `${at},${at < 2 ? 800 : 'bad'}`).join('\n')}`,
    );
    expect([found.problems.length, found.problemCount]).toEqual([20, 98]);
  });
  it('of one value a million times, and of five readings, is read', () => {
    const text = `time,rpm\n${Array.from({ length: 60_000 }, (_, at) => `${at / 10},800`).join('\n')}`;
    expect(read(text).readings).toBe(60_000);
    const layout = layoutOf(text);
    expect([...readCsv(text, layout)].length).toBeGreaterThanOrEqual(2);
    expect(read('time,rpm\n0,1\n1,2\n2,3\n3,4\n4,5\n').readings).toBe(5);
  });
});

describe('a recording goes out and comes in again', () => {
  const dice = random(4);
  const trace: Trace = {
    channels: [
      channel('rpm', unevenTimes(20, 10, dice), () => Math.round((800 + 20 * dice.normal()) * 4) / 4),
      channel('plate', unevenTimes(20, 4, dice), () => Math.round(dice.uniform() * 10_000) / 100),
    ],
    phases: [{ kind: 'warm-idle', from: 0, to: 20 }],
  };
  const near = (a: Float64Array, b: Float64Array, digits: number): void => {
    expect(b.length).toBe(a.length);
    a.forEach((value, at) => expect(b[at]).toBeCloseTo(value, digits));
  };
  it.each([
    ['wide', writeWideCsv],
    ['long', writeLongCsv],
  ])('as %s CSV', (_, write) => {
    const back = read(write(trace)).trace;
    expect(new Set(back.channels.map(({ role }) => role))).toEqual(new Set(['rpm', 'plate']));
    const from = Math.min(...trace.channels.map(({ times }) => times[0]!));
    trace.channels.forEach((each) => {
      const again = back.channels.find(({ role }) => role === each.role)!;
      near(each.values, again.values, 5);
      near(
        each.times.map((time) => time - from),
        again.times,
        3,
      );
    });
  });
  it('as packed bytes, whole numbers and others, small', () => {
    const odd = channel('load', [0, 0.5, 1], (time) => Math.PI * time);
    const whole: Trace = { ...trace, channels: [...trace.channels, odd] };
    const bytes = pack(whole);
    const back = unpack(bytes);
    expect(back.phases).toEqual(trace.phases);
    whole.channels.forEach((each, index) => {
      near(each.values, back.channels[index]!.values, 9);
      near(each.times, back.channels[index]!.times, 4);
    });
    expect(pack(back)).toEqual(bytes);
    // Two bytes a time and two a value, and a heading.
    expect(pack(trace).length).toBeLessThan(280 * 5 + 600);
  });
  it('refuses what is no recording, and a cut one', () => {
    const bytes = pack(trace);
    expect(() => unpack(new Uint8Array(3))).toThrow(PackError);
    expect(() => unpack(Uint8Array.from('hello world', (sign) => sign.charCodeAt(0)))).toThrow(/not a recording/);
    expect(() => unpack(bytes.subarray(0, bytes.length - 3))).toThrow(/cut short/);
    expect(() => unpack(bytes.map((byte, at) => (at === 8 ? 0 : byte)))).toThrow(/heading/);
  });
});
