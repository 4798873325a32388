import { describe, expect, it } from 'vitest';
import { type IdleArea, recovered } from '../airflow/index.ts';
import { random } from '../chance/index.ts';
import { idleAirIn, Lanes, type Trace } from '../trace/index.ts';
import {
  advance,
  AT_REST,
  createEngine,
  ENGINE_KINDS,
  type EngineKind,
  type EngineState,
  mended,
  shown,
} from './index.ts';

const RUN = { ...AT_REST, key: 'on' } as const;
const SECONDS = 20;

/** A recording of an engine at idle as its bytes carry it, ten readings a second. */
function recorded(state: EngineState): { readonly trace: Trace; readonly end: EngineState } {
  let now = state;
  const lanes = new Lanes();
  for (let tick = 0; tick < SECONDS * 10; tick += 1) {
    now = advance(now, RUN, 0.1);
    lanes.add(tick / 10, shown(now));
  }
  return { trace: { channels: lanes.channels(), phases: [] }, end: now };
}

const KINDS: readonly EngineKind[] = ['valve', 'electronic', 'bodies', 'outboard'];
/** How well the curve of a valve is known, as a share. */
const CURVE = 0.05;

describe('idle air found again from what an adapter reads', () => {
  it('of 200 random engines, within 0.3 mm² or a tenth, with an interval of 80 % that holds for about as many', () => {
    let [within, covered, all] = [0, 0, 0];
    for (let seed = 1; seed <= 200; seed += 1) {
      const dice = random(seed * 7919);
      const kind = KINDS[seed % KINDS.length]!;
      const spec = {
        ...ENGINE_KINDS[kind],
        volumetricEfficiency: 0.7 + 0.03 * dice.normal(),
        gapMm2: ENGINE_KINDS[kind].gapMm2 * (0.9 + 0.3 * dice.uniform()),
      };
      const depositMm2 = spec.gapMm2 * (0.1 + 0.7 * dice.uniform());
      const leakMm2 = dice.uniform() < 0.3 ? dice.uniform() * 1.5 : 0;
      const meterFactor = 1 + 0.02 * dice.normal();
      const curve = spec.valveMm2 === 0 ? null : (spec.valveMm2 / 100) * (1 + CURVE * dice.normal());
      const air = {
        displacementL: spec.displacementL,
        boreMm: spec.governor === 'plate' ? spec.boreMm : null,
        bodies: spec.bodies,
        valveMm2PerPercent: null,
      };
      const start = createEngine(spec, { faults: { depositMm2, leakMm2, meterFactor }, coolantC: 86, seed });
      const dirty = advance(advance(start, { ...RUN, key: 'start' }, 1.2), RUN, 15);
      const before = recorded(dirty);
      const after = recorded(advance(mended(before.end, { depositMm2: 0, leakMm2: 0 }), RUN, 25));
      const area = (trace: Trace): IdleArea =>
        idleAirIn(trace, { from: 0, to: SECONDS }, air, curve === null ? null : { value: curve, sd: curve * CURVE })!;
      const found = recovered(area(before.trace), area(after.trace));
      const truth = depositMm2 - leakMm2;
      all += 1;
      if (Math.abs(found.value - truth) <= Math.max(0.3, 0.1 * Math.abs(truth))) within += 1;
      if (truth >= found.low && truth <= found.high) covered += 1;
    }
    expect(within / all).toBeGreaterThanOrEqual(0.9);
    expect(covered / all).toBeGreaterThanOrEqual(0.75);
    expect(covered / all).toBeLessThanOrEqual(0.88);
  }, 60_000);
});
