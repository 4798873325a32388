import { clamp, coldness, idleTarget, type Live, rpmOf, towards, WARM_C } from './live.ts';
import { idleNeedMm2 } from './state.ts';

/** Speed above which the computer lets the engine fall by itself, rpm over its target. */
const FALLING = 250;
/** Electric load that takes as much again as the engine needs by itself, W a litre. */
const LOAD_W_PER_L = 620;
/** How fast a computer learns its idle, s. */
const LEARN_S = 40;

/** The idle air that the computer asks for, mm²; moves what it has learned and what it adds. */
export function idleAir(s: Live, dt: number): number {
  const { spec } = s;
  const need = idleNeedMm2(spec);
  const target = idleTarget(s);
  const rpm = rpmOf(s);
  const footOff = s.pedal < 1;
  s.dashMm2 = footOff ? towards(s.dashMm2, 0, dt, 0.8) : need * 0.5;
  const cold = need * 0.95 * coldness(s);
  const load = (need * s.loadNowW) / (LOAD_W_PER_L * spec.displacementL);
  const base = s.learnedMm2 + cold + load;
  if (spec.governor === 'fuel') return 0;
  // Standing, it waits where it will start from.
  if (!s.running) return base + need * 0.25;
  if (!footOff || rpm > target + FALLING) {
    // A foot or a falling engine: hold what was, let what was added fade.
    s.addedMm2 = towards(s.addedMm2, 0, dt, 3);
    return base + s.dashMm2 + Math.max(0, s.addedMm2);
  }
  const error = clamp(target - rpm, -200, 200);
  const gain = need / spec.idleRpm;
  const most = need * 0.45;
  s.addedMm2 = clamp(s.addedMm2 + gain * 1.6 * error * dt, -most, most);
  if (spec.learns === 'itself' && s.coolantC > WARM_C && s.roadMs < 0.5 && Math.abs(error) < 60 && s.runS > 10) {
    const step = (s.addedMm2 * dt) / LEARN_S;
    const learned = clamp(s.learnedMm2 + step, 0, need * 1.2);
    s.addedMm2 -= learned - s.learnedMm2;
    s.learnedMm2 = learned;
  }
  const asked = base + s.dashMm2 + s.addedMm2 + gain * 0.6 * error;
  const limit = s.faults.mostIdleMm2;
  return limit === null ? asked : Math.min(asked, limit + cold + load + s.dashMm2);
}

/** Ignition, which answers faster than air: retarded when it idles fast, advanced when it sags, ° before top. */
export function ignition(s: Live, dt: number): void {
  const footOff = s.pedal < 1;
  const wanted = footOff ? 8 + clamp((idleTarget(s) - rpmOf(s)) * 0.1, -10, 9) : 24;
  s.advanceDeg = towards(s.advanceDeg, wanted, dt, footOff ? 0.04 : 0.15);
}
