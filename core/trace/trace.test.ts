import { describe, expect, it } from 'vitest';
import {
  agreement,
  align,
  blips,
  type Channel,
  channelOf,
  difference,
  evenly,
  heldSpeed,
  hunting,
  idleBand,
  longestOf,
  median,
  phasesFound,
  plausibility,
  quantile,
  response,
  resolutionOf,
  settling,
  sweepTrack,
  theilSen,
  thin,
  type Trace,
  trimsIn,
  unlike,
  valueAt,
} from './index.ts';
import { random } from '../chance/index.ts';
import { channel, unevenTimes } from './testing.ts';

const traceOf = (...channels: Channel[]): Trace => ({ channels, phases: [] });
const steady = (seconds: number, hz = 10): number[] => Array.from({ length: seconds * hz }, (_, at) => at / hz);

describe('order statistics', () => {
  it('are what sorting would say', () => {
    const dice = random(3);
    for (let size = 1; size < 40; size += 1) {
      const values = Array.from({ length: size }, () => Math.round(dice.uniform() * 20));
      const sorted = [...values].sort((a, b) => a - b);
      const middle = (size - 1) / 2;
      expect(median(values)).toBe((sorted[Math.floor(middle)]! + sorted[Math.ceil(middle)]!) / 2);
      expect([quantile(values, 0), quantile(values, 1)]).toEqual([sorted[0], sorted.at(-1)]);
    }
    expect(resolutionOf([0.98, 1, 1.02, 1])).toBeCloseTo(0.02, 9);
    expect(resolutionOf([4, 4, 4])).toBe(0);
  });
  it('draw a line through points of which a fifth are anything', () => {
    const dice = random(9);
    const x = Array.from({ length: 3000 }, () => dice.uniform() * 100);
    const y = x.map((each) => (dice.uniform() < 0.2 ? dice.uniform() * 50 : 0.5 + 0.04 * each + 0.01 * dice.normal()));
    const line = theilSen(x, y)!;
    expect(line.slope / 0.04).toBeCloseTo(1, 1);
    expect(line.intercept).toBeCloseTo(0.5, 0);
    expect(theilSen([1, 1, 1], [1, 2, 3])).toBeNull();
  });
});

describe('hunting', () => {
  const swinging = (seed: number, hz: number, period: number, amplitude: number, noise: number): Channel => {
    const dice = random(seed);
    const phase = dice.uniform() * 6.28;
    return channel(
      'rpm',
      unevenTimes(30, hz, dice),
      (time) => 820 + amplitude * Math.sin((2 * Math.PI * time) / period + phase) + noise * dice.normal(),
    );
  };
  it.each([5, 10, 20])('finds 0.4 Hz of ±100 rpm under noise of 20 rpm at %i readings a second, in 95 of 100', (hz) => {
    const found = Array.from({ length: 1000 / 3 }, (_, seed) => hunting(swinging(seed + hz * 1000, hz, 2.5, 100, 20)));
    const share = (good: (one: (typeof found)[number]) => boolean): number => found.filter(good).length / found.length;
    expect(share(({ periodS }) => periodS !== null && Math.abs(periodS - 2.5) <= 0.1)).toBeGreaterThanOrEqual(0.95);
    expect(share(({ amplitude }) => Math.abs(amplitude - 100) <= 10)).toBeGreaterThanOrEqual(0.95);
    expect(share(({ hunts }) => hunts)).toBe(1);
  });
  it('finds slow and fast swings too, and says so of their height', () => {
    for (const period of [1, 1.7, 4, 7]) {
      const found = hunting(swinging(5, 10, period, 60, 10));
      expect(found.periodS! / period).toBeCloseTo(1, 1);
      expect(found.amplitude).toBeGreaterThan(52);
      expect(found.amplitude).toBeLessThan(68);
    }
  });
  it('does not take noise, drift or a small swing for it', () => {
    for (let seed = 0; seed < 100; seed += 1) {
      const dice = random(seed);
      let memory = 0;
      const wandering = channel('rpm', steady(30), () => 820 + (memory = 0.9 * memory + 8 * dice.normal()));
      expect(hunting(wandering).hunts).toBe(false);
    }
    expect(hunting(channel('rpm', steady(30), (time) => 1200 - 8 * time)).hunts).toBe(false);
    expect(hunting(swinging(1, 10, 2.5, 10, 3)).hunts).toBe(false);
  });
  it('says why it can say nothing', () => {
    expect(hunting(channel('rpm', steady(1, 5), () => 800)).why).toMatch(/only 0\.8 s in one piece/);
    expect(hunting(channel('rpm', [0, 1], () => 800)).why).toBe('too few readings');
    expect(
      hunting(
        channel(
          'rpm',
          Array.from({ length: 40 }, (_, at) => at),
          () => 800,
        ),
      ).why,
    ).toMatch(/too seldom/);
    // A million of one value is no swing.
    expect(hunting(channel('rpm', steady(1000), () => 800))).toMatchObject({ periodS: null, hunts: false });
    const gap = channel('rpm', [...steady(5), ...steady(5).map((time) => time + 60)], () => 800);
    expect(hunting(gap).why).toMatch(/in one piece/);
  });
});

describe('settling after a blip', () => {
  const band = { low: 780, high: 880 };
  /** Foot off at `closed`, then down to idle with a swing that dies away. */
  const blipped = (seed: number, hz: number, settle: number) => {
    const dice = random(seed);
    const times = unevenTimes(25, hz, dice);
    const shows = (time: number): number =>
      time < 5
        ? 830
        : time < 5.6
          ? 830 + 2600 * (time - 5)
          : time < 5.6 + settle
            ? 2390 - ((2390 - 881) * (time - 5.6)) / settle
            : 835;
    return traceOf(
      channel('rpm', times, (time) => shows(time) + 6 * dice.normal()),
      channel('plate', times, (time) => (time >= 5 && time < 5.6 ? 32 : 14) + 0.1 * dice.normal()),
    );
  };
  it('is found to 0.2 s at ten readings a second, with noise and lost readings', () => {
    let good = 0;
    for (let seed = 0; seed < 1000; seed += 1) {
      const settle = 0.8 + (seed % 90) / 10;
      const trace = blipped(seed, 10, settle);
      const [rpm, plate] = trace.channels as [Channel, Channel];
      const blip = blips(rpm, plate)[0]!;
      const found = settling(rpm, blip.closed, band);
      if (found.seconds !== null && Math.abs(found.seconds - settle) <= 0.2) good += 1;
    }
    expect(good).toBeGreaterThanOrEqual(950);
  });
  it('is found without the foot by the speed alone, and says when it died or never settled', () => {
    const [rpm] = blipped(4, 10, 3).channels as [Channel];
    expect(blips(rpm, null)).toHaveLength(1);
    const died = channel('rpm', steady(20), (time) =>
      time < 5 ? 830 : time < 6 ? 2000 : Math.max(0, 2000 - 900 * (time - 6)),
    );
    expect(settling(died, 6, band)).toMatchObject({ seconds: null, stalled: true, lowest: 0 });
    const high = channel('rpm', steady(20), (time) => (time > 5 && time < 6 ? 2000 : 1100));
    expect(settling(high, 6, band)).toMatchObject({ seconds: null, stalled: false });
    expect(
      blips(
        channel('rpm', [0, 1], () => 800),
        null,
      ),
    ).toEqual([]);
  });
  it('measures how fast one follows another', () => {
    const dice = random(2);
    const plate = channel(
      'plate',
      steady(10, 50),
      (time) => 14 + (time < 4.1 ? 0 : 20 * (1 - Math.exp(-(time - 4.1) / 0.2))) + 0.05 * dice.normal(),
    );
    const found = response(plate, 4, 8)!;
    expect(found.deadS).toBeCloseTo(0.12, 1);
    expect(found.riseS).toBeCloseTo(0.3, 1);
    expect(
      response(
        channel('plate', steady(10), () => 14),
        4,
        8,
      ),
    ).toBeNull();
  });
  it('says how an idle lies in its band', () => {
    const idle = idleBand(
      channel('rpm', steady(20), (time) => (time < 5 ? 700 : 830)),
      band,
    )!;
    expect(idle.share).toBeCloseTo(0.75, 1);
    expect(idle.mean).toBe(830);
    expect(
      idleBand(
        channel('rpm', [0, 1], () => 800),
        band,
      ),
    ).toBeNull();
    expect(
      idleBand(
        channel('rpm', steady(5), () => 800),
        null,
      )!.share,
    ).toBeNull();
  });
});

describe('a sweep', () => {
  const STEP = 100 / 255;
  const swept = (
    seed: number,
    hz: number,
    { worn = null as null | { from: number; readings: number; by: number } } = {},
  ) => {
    const dice = random(seed);
    const times = steady(12, hz);
    const pedal = channel('pedal', times, (time) => 15 + 70 * (time < 6 ? time / 6 : (12 - time) / 6));
    const at = worn === null ? -1 : Math.floor(worn.from * hz);
    const plate = channel('plate', times, (time, index) => {
      const true_ = 12 + 0.9 * (valueAt(pedal, time) - 15) + 0.1 * dice.normal();
      const off = worn !== null && index >= at && index < at + worn.readings ? worn.by : 0;
      return Math.round((true_ + off) / STEP) * STEP;
    });
    return { pedal, plate };
  };
  it('finds the slope within 1 % and 95 of 100 drop-outs of two readings and ten steps', () => {
    let [slopes, found] = [0, 0];
    for (let seed = 0; seed < 1000; seed += 1) {
      const from = 1 + (seed % 100) / 10;
      const { pedal, plate } = swept(seed, 10, { worn: { from, readings: 2, by: -10 * STEP } });
      const sweep = sweepTrack(plate, pedal)!;
      if (Math.abs(sweep.line.slope / 0.9 - 1) <= 0.01) slopes += 1;
      if (sweep.dropOuts.length === 1 && Math.abs(sweep.dropOuts[0]!.from - from) < 0.11) found += 1;
    }
    expect(slopes).toBeGreaterThanOrEqual(990);
    expect(found).toBeGreaterThanOrEqual(950);
  }, 60_000);
  it('has none in a sound one, comes back, and tells short from long', () => {
    for (let seed = 0; seed < 50; seed += 1) {
      const { pedal, plate } = swept(seed, 10);
      const sweep = sweepTrack(plate, pedal)!;
      expect(sweep.dropOuts).toEqual([]);
      expect(sweep.flatSpots).toEqual([]);
      expect(Math.abs(sweep.returnedBy!)).toBeLessThan(2);
    }
    const short = swept(1, 20, { worn: { from: 3, readings: 3, by: -8 } });
    expect(sweepTrack(short.plate, short.pedal)!.dropOuts).toMatchObject([{ short: true }]);
    const long = swept(1, 20, { worn: { from: 3, readings: 12, by: -8 } });
    expect(sweepTrack(long.plate, long.pedal)!.dropOuts).toMatchObject([{ short: false }]);
  });
  it('says what cannot be seen at a slow rate, and nothing of what was not moved', () => {
    const { pedal, plate } = swept(1, 5);
    expect(sweepTrack(plate, pedal)!.blind).toBe('a short drop-out cannot be seen at this rate');
    expect(
      sweepTrack(
        plate,
        channel('pedal', steady(12), () => 15),
      ),
    ).toBeNull();
    expect(
      sweepTrack(
        channel('plate', steady(1, 4), (t) => t),
        channel('pedal', steady(1, 4), (t) => 50 * t),
      ),
    ).toBeNull();
  });
  it('finds a flat spot', () => {
    const pedal = channel('pedal', steady(10), (time) => 10 * time);
    const stuck = channel('plate', steady(10), (time) => (time > 4 && time < 6 ? 40 : 10 * time));
    const spots = sweepTrack(stuck, pedal)!.flatSpots;
    expect(spots).toHaveLength(1);
    expect(Math.abs(spots[0]!.lowAt - 40)).toBeLessThanOrEqual(1.5);
  });
  it('holds two tracks against each other, by sum or by ratio, in volts or per cent', () => {
    const first = channel('plate', steady(10), (time) => 0.75 + 0.35 * time);
    const sum = channel('plate-second', steady(10), (time) => 5 - 0.75 - 0.35 * time - (time === 5 ? 0.6 : 0));
    expect(agreement(first, sum)).toMatchObject({ kind: 'sum', worstTime: 5 });
    expect(agreement(first, sum)!.worst).toBeCloseTo(-0.6, 6);
    const half = channel('plate-second', steady(10), (time) => (0.75 + 0.35 * time) / 2);
    expect(agreement(first, half)!.kind).toBe('ratio');
    expect(agreement(first, half)!.constant).toBeCloseTo(0.5, 9);
    expect(
      agreement(
        first,
        channel('plate-second', [0, 1], () => 1),
      ),
    ).toBeNull();
  });
});

describe('before and after', () => {
  const noise = (seed: number, memory: number, level: number, seconds = 30): Channel => {
    const dice = random(seed);
    let state = (8 / Math.sqrt(1 - memory ** 2)) * dice.normal();
    return channel('rpm', steady(seconds), () => level + (state = memory * state + 8 * dice.normal()));
  };
  it('claims no difference in 95 of 100 pairs that differ only by noise that hangs together', () => {
    let [covered, pairs] = [0, 0];
    for (let seed = 0; seed < 1000; seed += 1) {
      const found = difference(noise(seed * 2, 0.9, 820), noise(seed * 2 + 1, 0.9, 820));
      if (found === null) continue;
      pairs += 1;
      if (!found.shown) covered += 1;
    }
    expect(pairs).toBeGreaterThan(900);
    expect(covered / pairs).toBeGreaterThanOrEqual(0.9);
    expect(covered / pairs).toBeLessThanOrEqual(0.98);
  }, 60_000);
  it('finds one that is there, and says nothing of what is too short', () => {
    const found = difference(noise(1, 0.9, 820), noise(2, 0.9, 920))!;
    expect(found.shown).toBe(true);
    expect(found.low).toBeLessThan(100);
    expect(found.high).toBeGreaterThan(100);
    expect(difference(noise(1, 0.9, 820, 5), noise(2, 0.9, 820, 5))).toBeNull();
    expect(difference(noise(1, 0.5, 820), noise(2, 0.5, 820), 10)).toBeNull();
  });
  it('are laid over each other on the same event, or on none', () => {
    const at = (blip: number): Trace =>
      traceOf(
        channel('rpm', steady(30), (time) => (time > blip && time < blip + 1 ? 2000 : 830)),
        channel('plate', steady(30), (time) => (time > blip && time < blip + 1 ? 40 : 14)),
      );
    expect(align(at(4), at(9), 'blip')).toMatchObject({ before: 4.1, after: 9.1 });
    const none = traceOf(channel('rpm', steady(30), () => 830));
    expect(align(at(4), none, 'blip')).toBeNull();
    expect(align(at(4), none, 'beginning')).toMatchObject({ before: 0, after: 0 });
    const start = traceOf(channel('rpm', steady(30), (time) => (time < 3 ? 0 : 830)));
    expect(align(start, start, 'start')!.before).toBe(3);
    expect(align(none, none, 'start')).toBeNull();
  });
  it('are not compared where they were not alike', () => {
    const at = (coolant: number, volts: number): Trace =>
      traceOf(
        channel('coolant', steady(20), () => coolant),
        channel('volts', steady(20), () => volts),
      );
    const span = { from: 0, to: 20 };
    expect(unlike(at(88, 14.1), at(90, 14.2), span, span)).toEqual([]);
    expect(unlike(at(40, 14.1), at(90, 13.4), span, span).map(({ what }) => what)).toEqual(['coolant', 'loads']);
  });
});

describe('phases, trims and what cannot be', () => {
  const run = traceOf(
    channel('rpm', steady(120), (time) =>
      time < 20 ? 0 : time > 60 && time < 61 ? 2200 : time > 80 && time < 92 ? 2500 : 830,
    ),
    channel('pedal', steady(120), (time) =>
      time < 12
        ? 15 + 7 * Math.min(time, 12 - time) * 2
        : time > 60 && time < 61
          ? 40
          : time > 80 && time < 92
            ? 30
            : 15,
    ),
    channel('coolant', steady(120), (time) => 50 + time / 2),
    channel('volts', steady(120), (time) => (time > 98 && time < 108 ? 13.6 : 14.2)),
    channel('road-speed', steady(120), (time) => (time > 112 ? 20 : 0)),
    channel('short-trim', steady(120), (time) => (time > 80 && time < 92 ? 2 : 12)),
    channel('long-trim', steady(120), () => 6),
  );
  it('are found by themselves', () => {
    const phases = phasesFound(run);
    const kinds = phases.map(({ kind }) => kind);
    expect(kinds[0]).toBe('sweep');
    expect(new Set(kinds)).toEqual(new Set(['sweep', 'cold-idle', 'blip', 'warm-idle', 'loads', 'road']));
    expect(phases.find(({ kind }) => kind === 'road')!.from).toBeCloseTo(112, 0);
    expect(longestOf({ ...run, phases }, 'warm-idle')!.to).toBeLessThanOrEqual(113);
    expect(phasesFound(traceOf())).toEqual([]);
    expect(phasesFound(traceOf(channelOf(run, 'pedal')!))).toMatchObject([{ kind: 'sweep' }]);
  });
  it('trims are told at idle and at a held speed', () => {
    expect(trimsIn(run, { from: 30, to: 58 })).toEqual([{ bank: 1, short: 12, long: 6, together: 18 }]);
    const held = heldSpeed(run, 830)!;
    expect(held.rpm).toBe(2500);
    expect(trimsIn(run, held)).toMatchObject([{ together: 8 }]);
    expect(heldSpeed(traceOf(), 830)).toBeNull();
  });
  it('a sensor that stands still, reads what cannot be, or contradicts another is named', () => {
    const phases = [
      { kind: 'key-on', from: 0, to: 20 },
      { kind: 'warm-idle', from: 30, to: 58 },
    ] as const;
    const odd: Trace = {
      channels: [
        channelOf(run, 'rpm')!,
        channel('manifold', steady(120), () => 36),
        channel('air-mass', steady(120), () => 30),
        channel('coolant', steady(120), () => -10),
        channel('intake', steady(120), () => 20),
        channel('volts', steady(120), () => 12.4),
      ],
      phases,
    };
    expect(
      plausibility(odd, 2)
        .map(({ what }) => what)
        .sort(),
    ).toEqual(['air-mass-apart', 'cold-apart', 'manifold-key-on', 'stuck', 'stuck', 'supply'].sort());
    expect(plausibility({ ...run, phases }, 2)).toEqual([]);
    const fed: Trace = { channels: [{ ...channel('plate', steady(2), () => 6.1), unit: 'V' }], phases: [] };
    expect(plausibility(fed, null)).toMatchObject([{ what: 'above-supply', value: 6.1 }]);
  });
});

describe('points for a curve', () => {
  it('keep every peak and dip, in order, in a few a pixel', () => {
    const dice = random(8);
    const n = 100_000;
    const values = Float64Array.from({ length: n }, () => dice.normal());
    values[54_321] = 40;
    values[12_345] = -40;
    const times = Float64Array.from({ length: n }, (_, at) => at / 100);
    const drawn = thin({ times, values }, 800);
    expect(drawn.times.length).toBeLessThanOrEqual(800 * 4);
    expect(Math.max(...drawn.values)).toBe(40);
    expect(Math.min(...drawn.values)).toBe(-40);
    for (let at = 1; at < drawn.times.length; at += 1)
      expect(drawn.times[at]!).toBeGreaterThanOrEqual(drawn.times[at - 1]!);
    // What is drawn at a column is its own highest and lowest.
    const close = thin({ times, values }, 100, 500, 510);
    expect(close.times[0]!).toBeLessThan(500);
    expect(Math.max(...close.values)).toBe(Math.max(...values.slice(49_999, 51_002)));
  });
  it('are left as they are where they are few', () => {
    const few = { times: Float64Array.of(0), values: Float64Array.of(1) };
    expect(thin(few, 800)).toEqual(few);
    expect(thin({ times: new Float64Array(0), values: new Float64Array(0) }, 10).times).toHaveLength(0);
  });
  it('are brought to even steps over gaps that can be bridged', () => {
    const even = evenly(
      channel('rpm', [0, 0.1, 0.2, 0.5, 0.6], (time) => time * 10),
      0.1,
    )!;
    expect(Array.from(even.values, (value) => Math.round(value * 1000) / 1000)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  });
});
