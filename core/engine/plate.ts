import { openPlateArea, plateDegrees } from '../airflow/index.ts';
import { clamp, type Live, towards } from './live.ts';

/** A driven plate without current rests on its springs, this far open, °. */
const LIMP_DEG = 5.5;
/** The plate wide open, ° above closed. */
const WIDE_DEG = 78;
const VALVE_REST_PERCENT = 26;

/** Moves plates and valve to where they are asked to be, as well as they still can. */
export function moveParts(s: Live, askedMm2: number, dt: number): void {
  const { spec, faults } = s;
  const foot = (s.pedal / 100) * WIDE_DEG;
  const own = spec.governor === 'plate' ? plateDegrees(spec, askedMm2) : 0;
  s.plateAskedDeg = clamp(foot + own, 0, WIDE_DEG);
  const powered = s.key !== 'off';
  const target = spec.governor === 'plate' && (faults.throttleUnplugged || !powered) ? LIMP_DEG : s.plateAskedDeg;
  const least = Math.max(faults.plateStickDeg, faults.gearPlayDeg);
  const asked =
    Math.abs(target - s.plateDeg) > least ? target - Math.sign(target - s.plateDeg) * faults.gearPlayDeg : s.plateDeg;
  s.plateDeg = Math.max(faults.heldOpenDeg, towards(s.plateDeg, asked, dt, spec.governor === 'plate' ? 0.035 : 0.02));
  if (spec.valveMm2 === 0) return;
  s.valveAskedPercent = clamp((askedMm2 / spec.valveMm2) * 100, 0, 100);
  if (faults.deadCoil || !powered) s.valvePercent = VALVE_REST_PERCENT;
  else if (Math.abs(s.valveAskedPercent - s.valvePercent) > faults.valveStickPercent)
    // One that breaks loose runs on past where it was asked to.
    s.valvePercent = clamp(
      towards(
        s.valvePercent,
        s.valveAskedPercent + Math.sign(s.valveAskedPercent - s.valvePercent) * 0.35 * faults.valveStickPercent,
        faults.valveStickPercent > 0 ? 1 : dt,
        0.06,
      ),
      0,
      100,
    );
}

/** Everything that air comes through behind the meter, and what of it the meter sees, mm². */
export function airAreas(s: Live): { readonly metered: number; readonly leak: number } {
  const { spec, faults } = s;
  const gap = Math.max(0, spec.gapMm2 - faults.depositMm2);
  const valve = (spec.valveMm2 * s.valvePercent * faults.valveFactor) / 100;
  return { metered: gap + openPlateArea(spec, s.plateDeg) + valve, leak: faults.leakMm2 };
}
