import { describe, expect, it } from 'vitest';
import {
  advance,
  AT_REST,
  createEngine,
  ENGINE_KINDS,
  type EngineFaults,
  type EngineKind,
  shown,
} from '../engine/index.ts';
import { Lanes, reportOn, type Trace, type TraceFigureKind } from './index.ts';

/** Warm idle, a blip, loads: an engine recorded ten times a second. */
function recorded(kind: EngineKind, faults: Partial<EngineFaults>): Trace {
  const on = { ...AT_REST, key: 'on' } as const;
  let engine = advance(
    createEngine(ENGINE_KINDS[kind], { faults, coolantC: 86, seed: 8 }),
    { ...on, key: 'start' },
    1.5,
  );
  engine = advance(engine, on, 15);
  const lanes = new Lanes();
  for (let tick = 0; tick < 900; tick += 1) {
    const at = tick / 10;
    engine = advance(
      engine,
      at >= 47 && at < 47.7 ? { ...on, pedal: 20 } : at >= 65 ? { ...on, loadsW: 420 } : on,
      0.1,
    );
    lanes.add(at, shown(engine));
  }
  return {
    channels: lanes.channels(),
    phases: [
      { kind: 'warm-idle', from: 0, to: 45 },
      { kind: 'blip', from: 45, to: 62 },
      { kind: 'loads', from: 65, to: 90 },
    ],
  };
}
const BY = {
  idleBand: { low: 780, high: 880 },
  air: { displacementL: 2.5, boreMm: null, bodies: 1, valveMm2PerPercent: null },
};
const report = (faults: Partial<EngineFaults> = {}, by: Parameters<typeof reportOn>[1] = BY) => {
  const found = reportOn(recorded('valve', faults), by);
  const of = (kind: TraceFigureKind) => found.figures.find((each) => each.kind === kind)?.value;
  return { ...found, of };
};

describe('what a recording of an engine shows', () => {
  it('with nothing wrong: it stands in its band, settles, follows the foot, and its gap is what it is', () => {
    const { of, implausible } = report();
    expect(of('idle')).toBeGreaterThan(820);
    expect(of('swing')).toBe(0);
    expect(of('settle')).toBeLessThan(4);
    expect(of('response')).toBeLessThan(1);
    expect(of('loads-lowest')).toBeGreaterThan(780);
    // The valve moves with the loads: its curve, and with it the gap, is found from the recording itself.
    expect(of('valve-curve')).toBeCloseTo(0.4, 1);
    expect(Math.abs(of('gap-area')! - 4.5)).toBeLessThan(0.9);
    expect(implausible).toEqual([]);
  });
  it('with a valve that sticks: it hunts, and of the air nothing is said', () => {
    const { of, untold } = report({ valveStickPercent: 18 });
    expect(of('swing')).toBeGreaterThan(40);
    expect(of('swing-period')).toBeGreaterThan(1);
    expect(of('gap-area')).toBeUndefined();
    expect(untold.join()).toContain('it hunts, so the valve is not where it is asked to be');
  });
  it('says what it cannot tell without a band, an engine, or a valve that moves', () => {
    expect(report({}, { idleBand: null, air: null }).untold.join()).toContain('no idle band is known');
    const still = recorded('valve', {});
    const idleOnly = { ...still, phases: still.phases.slice(0, 1) };
    expect(reportOn(idleOnly, BY).untold.join()).toContain('the valve has to move');
    expect(reportOn({ channels: [], phases: [] }, BY)).toEqual({ figures: [], implausible: [], untold: [] });
  });
  it('says how long it took at least where it was still out of the band when the recording ended', () => {
    const elsewhere = reportOn(recorded('valve', {}), { ...BY, idleBand: { low: 680, high: 760 } });
    const settle = elsewhere.figures.find(({ kind }) => kind === 'settle')!;
    expect(settle).toMatchObject({ atLeast: true });
    expect(settle.value).toBeGreaterThan(4);
    expect(elsewhere.untold.join()).toContain('did not come back into the band');
  });
  it('holds two tracks against each other while the engine runs', () => {
    const found = reportOn(recorded('electronic', {}), { ...BY, idleBand: { low: 680, high: 760 } });
    expect(found.figures.find(({ kind }) => kind === 'tracks-apart-running')!.value).toBeLessThan(0.5);
  });
});
