import { describe, expect, it } from 'vitest';
import {
  advance,
  AT_REST,
  cleared,
  createEngine,
  ENGINE_KINDS,
  type EngineFaults,
  type EngineInputs,
  type EngineKind,
  type EngineState,
  idleTarget,
  makerReadings,
  MAKER_VALUES,
  mended,
  readings,
  relearned,
  rpmOf,
  STEP_S,
  tracks,
} from './index.ts';

const RUN: EngineInputs = { ...AT_REST, key: 'on' };
const started = (kind: EngineKind, faults: Partial<EngineFaults> = {}, coolantC = 86, seed = 5): EngineState =>
  advance(createEngine(ENGINE_KINDS[kind], { faults, coolantC, seed }), { ...RUN, key: 'start' }, 1.2);
/** Speeds ten times a second over a stretch, and the engine after it. */
function watched(
  state: EngineState,
  seconds: number,
  inputs = RUN,
): { readonly rpm: number[]; readonly end: EngineState } {
  let now = state;
  const rpm: number[] = [];
  for (let tick = 0; tick < seconds * 10; tick += 1) {
    now = advance(now, inputs, 0.1);
    rpm.push(rpmOf(now));
  }
  return { rpm, end: now };
}
const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;
const spread = (values: readonly number[]): number => {
  const middle = mean(values);
  return Math.sqrt(mean(values.map((each) => (each - middle) ** 2)));
};
const idle = (kind: EngineKind, faults: Partial<EngineFaults> = {}) =>
  watched(advance(started(kind, faults), RUN, 30), 30);
const KINDS = Object.keys(ENGINE_KINDS) as EngineKind[];

describe('an engine with nothing wrong', () => {
  it.each(KINDS)('%s starts, idles where it should, and comes back from a blip', (kind) => {
    const { rpm, end } = idle(kind);
    expect(end.running).toBe(true);
    expect(mean(rpm) / ENGINE_KINDS[kind].idleRpm).toBeCloseTo(1, 1.5);
    expect(spread(rpm)).toBeLessThan(12);
    expect(end.stored).toEqual([]);
    const blipped = advance(end, { ...RUN, pedal: 20 }, 0.6);
    expect(rpmOf(blipped)).toBeGreaterThan(ENGINE_KINDS[kind].idleRpm * 1.2);
    const after = watched(blipped, 12);
    expect(after.end.stalls).toBe(0);
    expect(mean(after.rpm.slice(-20)) / ENGINE_KINDS[kind].idleRpm).toBeCloseTo(1, 1);
  });
  it('draws so much air that its valve stands in the usual band', () => {
    const { end } = idle('valve');
    expect(makerReadings(end)[MAKER_VALUES.valveDuty]).toBeGreaterThan(28);
    expect(makerReadings(end)[MAKER_VALUES.valveDuty]).toBeLessThan(40);
    expect(readings(end)[0x0b]).toBeGreaterThan(22);
    expect(readings(end)[0x0b]).toBeLessThan(42);
  });
  it('idles faster cold, warms up, and runs its fan when it is hot', () => {
    const cold = watched(advance(started('electronic', {}, 16), RUN, 10), 10);
    expect(mean(cold.rpm)).toBeGreaterThan(1050);
    const later = advance(cold.end, RUN, 1500);
    expect(later.coolantC).toBeGreaterThan(80);
    expect(mean(watched(later, 10).rpm)).toBeLessThan(780);
    expect(advance({ ...later, coolantC: 103 }, RUN, 1).fan).toBe(true);
  });
  it('takes loads, and drives', () => {
    const { end } = idle('electronic');
    const loaded = watched(end, 10, { ...RUN, loadsW: 450 });
    expect(mean(loaded.rpm.slice(-30))).toBeGreaterThan(690);
    expect(readings(loaded.end)[0x10]).toBeGreaterThan(readings(end)[0x10]! * 1.1);
    const moving = advance(end, { ...RUN, pedal: 30, gear: 2.2 }, 15);
    expect(readings(moving)[0x0d]).toBeGreaterThan(20);
    expect(readings(moving)[0x31]).toBeGreaterThan(readings(end)[0x31]!);
    const rest = advance(advance(moving, { ...RUN, gear: 2.2 }, 4), RUN, 40);
    expect(rest.running).toBe(true);
    expect(readings(rest)[0x0d]).toBeLessThan(5);
  });
  it('stops with the key, and does not run without being started', () => {
    expect(rpmOf(advance(started('valve'), AT_REST, 5))).toBe(0);
    expect(advance(createEngine(ENGINE_KINDS.valve), RUN, 5).running).toBe(false);
  });
});

describe('what is wrong shows as it does', () => {
  const of = (kind: EngineKind, faults: Partial<EngineFaults>) => {
    const { rpm, end } = idle(kind, faults);
    return { rpm: mean(rpm), spread: spread(rpm), values: readings(end), maker: makerReadings(end), end };
  };
  it('deposits are made up for by the valve, or by the plate', () => {
    const duty = (faults: Partial<EngineFaults>) => of('valve', faults).maker[MAKER_VALUES.valveDuty]!;
    expect(duty({ depositMm2: 3.1 }) - duty({})).toBeCloseTo((3.1 / 40) * 100, 0);
    expect(of('electronic', { depositMm2: 3 }).values[0x4c]).toBeGreaterThan(of('electronic', {}).values[0x4c]! * 1.3);
  });
  it('a leak is lean behind a meter; with a pressure sensor it only takes from the valve', () => {
    expect(
      of('electronic', { leakMm2: 2 }).values[0x06]! + of('electronic', { leakMm2: 2 }).values[0x07]!,
    ).toBeGreaterThan(10);
    const pressure = of('valve', { leakMm2: 4 });
    expect(Math.abs(pressure.values[0x06]! + pressure.values[0x07]!)).toBeLessThan(3);
    expect(pressure.maker[MAKER_VALUES.valveDuty]).toBeLessThan(25);
    expect(of('electronic', { leakBeforeMm2: 6 }).values[0x07]).toBeCloseTo(0, 0);
  });
  it('on one of two banks it is lean there', () => {
    const { values } = of('banks', { leakMm2: 3, leakBank: 2 });
    expect(values[0x08]! + values[0x09]!).toBeGreaterThan(values[0x06]! + values[0x07]! + 10);
  });
  it('a valve that sticks makes it hunt', () => {
    expect(of('valve', { valveStickPercent: 10 }).spread).toBeGreaterThan(3 * of('valve', {}).spread);
  });
  it('a dead coil rests the valve, and is stored', () => {
    const { end, rpm } = of('valve', { deadCoil: true });
    expect(end.stored).toContain('P0511');
    expect(rpm).toBeLessThan(820);
  });
  it('another variant lets more through a per cent', () => {
    expect(of('valve', { valveFactor: 1.6 }).maker[MAKER_VALUES.valveDuty]).toBeLessThan(25);
  });
  it('a plate that is off its plug, held open or too much learned idles high', () => {
    const unplugged = of('electronic', { throttleUnplugged: true });
    expect(unplugged.rpm).toBeGreaterThan(1100);
    expect(unplugged.end.stored).toEqual(expect.arrayContaining(['P2101', 'P0507']));
    expect(of('valve', { heldOpenDeg: 5 }).rpm).toBeGreaterThan(1000);
    const wrong = watched(advance(started('banks', { mislearnedMm2: 20 }), RUN, 15), 15);
    expect(mean(wrong.rpm)).toBeGreaterThan(780);
    expect(mean(watched(advance(relearned(wrong.end), RUN, 15), 15).rpm)).toBeLessThan(730);
  });
  it('too little fuel is lean, a weak battery loads it, misfires shake it', () => {
    expect(of('valve', { fuel: 0.85 }).values[0x06]! + of('valve', { fuel: 0.85 }).values[0x07]!).toBeGreaterThan(12);
    const weak = of('valve', { battery: 0.2 });
    expect(weak.values[0x42]).toBeLessThan(of('valve', {}).values[0x42]! - 0.4);
    expect(weak.values[0x0b]).toBeGreaterThan(of('valve', {}).values[0x0b]! + 3);
    expect(of('valve', { misfire: 0.1 }).spread).toBeGreaterThan(20);
  });
  it('a worn track drops where it is worn, the other does not; play and stiction keep the plate from where it is asked', () => {
    const worn = createEngine(ENGINE_KINDS.valve, { faults: { wornTrack: { atDeg: 20, widthDeg: 4, volts: 0.9 } } });
    const at = (plateDeg: number) => tracks({ ...worn, plateDeg });
    expect(at(20).first).toBeLessThan(at(10).first);
    expect(at(20).second).toBeLessThan(at(10).second);
    expect(at(25).first + at(25).second).toBeCloseTo(5, 6);
    const stuck = advance(
      createEngine(ENGINE_KINDS.electronic, { faults: { plateStickDeg: 4 } }),
      { ...RUN, pedal: 3 },
      1,
    );
    expect(stuck.plateAskedDeg - stuck.plateDeg).toBeGreaterThan(1);
    const play = advance(
      createEngine(ENGINE_KINDS.electronic, { faults: { gearPlayDeg: 1 } }),
      { ...RUN, pedal: 30 },
      1,
    );
    expect(play.plateAskedDeg - play.plateDeg).toBeGreaterThan(0.8);
  });
  it('air in the coolant makes it read in jumps; a meter that reads low is lean', () => {
    const air = watched(started('valve', { coolantAir: 1 }), 40);
    const jumping = [0, 11, 22].map((s) => readings({ ...air.end, time: s })[0x05]!);
    expect(Math.max(...jumping) - Math.min(...jumping)).toBeGreaterThan(8);
    expect(of('electronic', { meterFactor: 0.88 }).values[0x07]).toBeGreaterThan(5);
  });
});

describe('the model itself', () => {
  it('is the same from the same seed, and another from another', () => {
    const of = (seed: number) => watched(started('valve', {}, 86, seed), 5).rpm;
    expect(of(7)).toEqual(of(7));
    expect(of(7)).not.toEqual(of(8));
  });
  it('goes on from a state as if it had not been put down, and leaves the one it was given', () => {
    const state = started('valve');
    const kept = JSON.parse(JSON.stringify(state)) as EngineState;
    const far = advance(state, RUN, 6);
    expect(advance(advance(kept, RUN, 3), RUN, 3)).toEqual(far);
    expect(state).toEqual(kept);
  });
  it.each(KINDS)('%s: half the step changes speeds by under 1 %%', (kind) => {
    const over = (step: number): number[] => {
      let now = advance(
        createEngine(ENGINE_KINDS[kind], { coolantC: 86, seed: 4 }),
        { ...RUN, key: 'start' },
        1.2,
        step,
      );
      const blocks: number[] = [];
      for (let block = 0; block < 6; block += 1) {
        let sum = 0;
        for (let tick = 0; tick < 50; tick += 1) {
          now = advance(now, block === 3 && tick < 5 ? { ...RUN, pedal: 20 } : RUN, 0.1, step);
          sum += rpmOf(now);
        }
        blocks.push(sum / 50);
      }
      return blocks;
    };
    const [whole, half] = [over(STEP_S), over(STEP_S / 2)];
    for (const block of [1, 2, 4, 5]) expect(Math.abs(half[block]! / whole[block]! - 1)).toBeLessThan(0.01);
  });
  it('refuses a longer step and a negative time', () => {
    expect(() => advance(started('valve'), RUN, -1)).toThrow(RangeError);
    expect(() => advance(started('valve'), RUN, 1, 0.01)).toThrow(RangeError);
  });
  it('counts a warm-up once, from a cold start only', () => {
    const cold = cleared(createEngine(ENGINE_KINDS.bodies, { seed: 3, coolantC: 20 }));
    const warmed = advance(advance(cold, { ...RUN, key: 'start' }, 1.5), RUN, 600);
    expect(warmed.coolantC).toBeGreaterThan(71);
    expect(readings(warmed)[0x30]).toBe(1);
    const hot = cleared(createEngine(ENGINE_KINDS.bodies, { seed: 3, coolantC: 80 }));
    expect(readings(advance(advance(hot, { ...RUN, key: 'start' }, 1.5), RUN, 60))[0x30]).toBe(0);
  });
  it('forgets codes, trims and distance when it is cleared; what was mended stays mended', () => {
    const bad = advance(started('electronic', { throttleUnplugged: true }), RUN, 60);
    expect(bad.stored.length).toBeGreaterThan(0);
    const clean = cleared(mended(bad, { throttleUnplugged: false }));
    expect([clean.stored, clean.pending, readings(clean)[0x31], readings(clean)[0x07]]).toEqual([[], [], 0, 0]);
    const after = advance(clean, RUN, 40);
    expect(after.stored).toEqual([]);
    expect(rpmOf(after)).toBeLessThan(idleTarget(after) + 60);
  });
});
