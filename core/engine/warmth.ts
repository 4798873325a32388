import { clamp, type Live, rpmOf, towards } from './live.ts';

/** Thermostat and fan, °C. */
const OPENS_C = 88;
const FAN_ON_C = 101;
const FAN_OFF_C = 95;

/** A warm-up as SAE J1979 counts them: up by so much since it was started, to so much, °C. */
const WARM_UP_BY_C = 22;
const WARM_UP_TO_C = 71;

function countWarmUps(s: Live, dt: number): void {
  if (!s.running) s.startedAtC = null;
  else if (s.runS <= dt) s.startedAtC = s.coolantC;
  if (s.startedAtC === null || s.coolantC < Math.max(WARM_UP_TO_C, s.startedAtC + WARM_UP_BY_C)) return;
  s.warmUps = Math.min(255, s.warmUps + 1);
  s.startedAtC = null;
}

/** Coolant, charging, and what else is slow. */
export function warmUp(s: Live, dt: number): void {
  const { displacementL } = s.spec;
  const heat = s.running ? (s.airGs / 14.6) * 44_000 * 0.32 : 0;
  const capacity = 16_000 + 22_000 * displacementL;
  const open = clamp((s.coolantC - OPENS_C) / 8, 0, 1) * (1 - 0.75 * s.faults.coolantAir);
  const lost = (s.coolantC - s.ambientC) * (3 + open * (18 + (s.fan ? 120 : 0) + 6 * s.roadMs) * displacementL);
  s.coolantC += ((heat - lost) / capacity) * dt;
  countWarmUps(s, dt);
  s.fan = s.running && (s.fan ? s.coolantC > FAN_OFF_C : s.coolantC > FAN_ON_C);
  s.loadNowW = towards(s.loadNowW, s.running ? s.loadsW : 0, dt, 1.2);
  const charged = s.running ? 14.2 - 0.9 * (1 - s.faults.battery) - clamp((650 - rpmOf(s)) / 500, 0, 1) * 1.2 : null;
  const alone =
    12.6 -
    0.9 * (1 - s.faults.battery) -
    s.loadsW / 2500 -
    (s.key === 'start' ? 1.6 + 1.5 * (1 - s.faults.battery) : 0);
  s.volts = towards(s.volts, charged ?? alone, dt, 0.15);
}
