import { AIR_R, cylinderFlow, flowPerMm2 } from '../airflow/index.ts';
import { airAreas } from './plate.ts';
import { clamp, idleTarget, type Live, rpmOf, towards, WARM_C } from './live.ts';
import { gauss, roll } from '../chance/index.ts';
import { TORQUE_SLOTS } from './state.ts';

/** Heat of petrol, J/g, and the air that it burns with. */
const HEAT = 44_000;
const STOICHIOMETRIC = 14.6;
const SLOT_S = 0.005;
/** Indicated efficiency at the best ignition, and what of it an idling engine has at 8° before top. */
const BEST = 0.245;
const DIESEL = 0.36;

/** Efficiency lost by ignition away from its best, and by mixture. */
const byIgnition = (advanceDeg: number): number => {
  const off = (24 - clamp(advanceDeg, -5, 24)) / 29;
  return 1 - 0.5 * off * Math.sqrt(Math.sqrt(off));
};
const byMixture = (lambda: number): number => {
  if (lambda < 0.75) return clamp(1 - (0.75 - lambda) * 3, 0, 1);
  if (lambda <= 1.05) return 1;
  return clamp(1 - (lambda - 1.05) * 1.7, 0, 1) / lambda ** 0.4;
};

/** Air in and out of the manifold; its pressure, kPa, and what flows, g/s. Sensors see `airMeterGs`. */
export function breathe(s: Live, dt: number): void {
  const { spec, faults } = s;
  const { metered, leak } = airAreas(s);
  const manifoldC = s.ambientC + 0.25 * Math.max(0, s.coolantC - s.ambientC);
  // What flows through a square millimetre is worked out once for both.
  const each = flowPerMm2({ upstreamKPa: s.baroKPa, downstreamKPa: s.manifoldKPa, upstreamC: s.ambientC + 8 });
  const seen = metered * each;
  const unseen = leak * each;
  const out = cylinderFlow({
    rpm: rpmOf(s),
    displacementL: spec.displacementL,
    manifoldKPa: s.manifoldKPa,
    manifoldC,
    volumetricEfficiency: spec.volumetricEfficiency,
  });
  const stiff = (AIR_R * (manifoldC + 273.15)) / spec.manifoldL / 1000;
  s.manifoldKPa = clamp(s.manifoldKPa + stiff * (seen + unseen - out) * dt, 8, s.baroKPa);
  s.airGs = out;
  s.airMeterGs = seen * faults.meterFactor;
  if (spec.governor !== 'fuel') mixture(s, seen, unseen, dt);
}

/** Mixture by bank, and the trims that answer it. */
function mixture(s: Live, seen: number, unseen: number, dt: number): void {
  const { spec, faults } = s;
  const closed = s.running && s.coolantC > 45 && s.runS > 15;
  for (let bank = 0; bank < spec.banks; bank += 1) {
    const leaks = faults.leakBank === 0 ? unseen / spec.banks : faults.leakBank === bank + 1 ? unseen : 0;
    const own = seen / spec.banks;
    // A pressure sensor sees what leaks in; a meter does not.
    const metered = spec.meter === 'air-mass' ? own * faults.meterFactor : (own + leaks) * faults.meterFactor;
    const trims = (1 + s.trimShort[bank]! / 100) * (1 + s.trimLong[bank]! / 100);
    const enrich = closed ? 1 : 1 + 0.12 * clamp((WARM_C - s.coolantC) / 50, 0, 1);
    s.lambda[bank] = (own + leaks) / Math.max(metered * trims * faults.fuel * enrich, 1e-6);
    if (!closed) {
      s.trimShort[bank] = towards(s.trimShort[bank]!, 0, dt, 2);
      continue;
    }
    const ripple = 1.2 * Math.sign(Math.sin(2 * Math.PI * 0.8 * s.time + bank));
    s.trimShort[bank] = clamp(s.trimShort[bank]! + (s.lambda[bank]! - 1) * 100 * dt * 1.6 + ripple * dt * 2, -25, 25);
    const move = (s.trimShort[bank]! * dt) / 25;
    s.trimLong[bank] = clamp(s.trimLong[bank]! + move, -25, 25);
    s.trimShort[bank] = s.trimShort[bank]! - move;
  }
  if (spec.banks === 1) {
    s.lambda[1] = s.lambda[0]!;
    s.trimShort[1] = s.trimShort[0]!;
    s.trimLong[1] = s.trimLong[0]!;
  }
}

/** Indicated torque of what is drawn now, N·m: it comes a turn of the crank later. */
function drawnTorque(s: Live): number {
  const { spec } = s;
  const kelvin = s.ambientC + 0.25 * Math.max(0, s.coolantC - s.ambientC) + 273.15;
  const perCycle = (spec.volumetricEfficiency * s.manifoldKPa * spec.displacementL * 1000) / (AIR_R * kelvin);
  if (spec.governor === 'fuel') return (perCycle * s.fuelShare * HEAT * DIESEL) / STOICHIOMETRIC / (4 * Math.PI);
  const mix = spec.banks === 2 ? (byMixture(s.lambda[0]) + byMixture(s.lambda[1])) / 2 : byMixture(s.lambda[0]);
  return (perCycle * HEAT * BEST * mix) / STOICHIOMETRIC / (4 * Math.PI);
}

/** Friction with pumping, N·m: Heywood’s correlation, thicker oil when cold. */
function friction(s: Live): number {
  const k = rpmOf(s) / 1000;
  const bar = 0.97 + 0.15 * k + 0.05 * k * k;
  const cold = 1 + 0.55 * clamp((80 - s.coolantC) / 60, 0, 1.4);
  return (bar * 1e5 * s.spec.displacementL * 1e-3 * cold) / (4 * Math.PI);
}

/** Electric power that the engine itself needs, W a litre and a base. */
const ownWatts = (s: Live): number => 90 + 45 * s.spec.displacementL + (s.fan ? 220 : 0);
const ALTERNATOR = 0.58;

/** What the engine is held back by beside its friction, N·m. */
function loads(s: Live): number {
  if (s.omega < 25) return 0;
  const charge = s.running ? (1 - s.faults.battery) * 500 : 0;
  return (ownWatts(s) + s.loadNowW + charge) / ALTERNATOR / s.omega;
}

/** Starter, N·m: it gives less as the battery does and as the crank comes up. */
const starter = (s: Live): number =>
  s.key === 'start' && s.omega < 40
    ? s.spec.displacementL * 55 * (0.35 + 0.65 * s.faults.battery) * Math.max(0, 1 - s.omega / 42)
    : 0;

/** Turns the crank on. @param gear engine turns a second at 1 m/s; 0 in neutral */
export function turnCrank(s: Live, gear: number, dt: number): void {
  s.slotS += dt;
  if (s.slotS >= SLOT_S - 1e-9) {
    s.slotS -= SLOT_S;
    s.slot = (s.slot + 1) % TORQUE_SLOTS;
    s.torques[s.slot] = drawnTorque(s);
  }
  const late = clamp(Math.round((2 * Math.PI) / Math.max(s.omega, 8) / SLOT_S), 1, TORQUE_SLOTS - 1);
  // Above this, foot off, an engine gets no fuel.
  const overrun = s.pedal < 1 && s.spec.governor !== 'fuel' && rpmOf(s) > idleTarget(s) + OVERRUN;
  const burning = s.key !== 'off' && s.omega > 12;
  const came = s.torques[(s.slot - late + TORQUE_SLOTS) % TORQUE_SLOTS]!;
  s.firing += (dt * s.omega * s.spec.cylinders) / (4 * Math.PI);
  if (s.firing >= 1) {
    s.firing %= 1;
    const fails = s.faults.misfire > 0 && roll(s) < s.faults.misfire;
    s.strength = fails ? 0 : 1 + 0.07 * gauss(s);
  }
  const fast = s.spec.governor === 'fuel' ? 1 : byIgnition(s.advanceDeg);
  const indicated = burning && !overrun ? came * fast * s.strength : 0;
  const shaft = gear > 0 ? clutch(s, gear, dt) : coast(s, dt);
  const rub = s.omega > 0 ? friction(s) : 0;
  s.omega = Math.max(0, s.omega + ((indicated + starter(s) - rub - loads(s) - shaft) / s.spec.inertia) * dt);
  const was = s.running;
  s.running = burning && s.omega > (was ? 27 : 46);
  if (was && !s.running && s.key !== 'off') s.stalls += 1;
  s.runS = s.running ? s.runS + dt : 0;
}

/** Speed over idle from which fuel is cut, foot off, rpm. */
const OVERRUN = 900;
const VEHICLE_KG_PER_L = 700;

/** The road through a slipping clutch, N·m at the crank. */
function clutch(s: Live, gear: number, dt: number): number {
  const slip = s.omega - s.roadMs * gear * 2 * Math.PI;
  // A foot on the clutch gives it no more than the engine can take without dying.
  const bite = Math.max(0, (s.omega - (0.85 * s.spec.idleRpm * Math.PI) / 30) * 2 * s.spec.displacementL);
  const torque = clamp(slip * 3.5, -90 * s.spec.displacementL, Math.min(bite, 90 * s.spec.displacementL));
  rollOn(s, torque * gear * 2 * Math.PI, dt);
  return torque;
}
const coast = (s: Live, dt: number): number => {
  if (s.roadMs > 0) rollOn(s, 0, dt);
  return 0;
};
function rollOn(s: Live, drive: number, dt: number): void {
  const mass = VEHICLE_KG_PER_L * s.spec.displacementL;
  const drag = s.roadMs > 0 ? mass * 0.15 + 0.4 * s.roadMs ** 2 : 0;
  s.roadMs = Math.max(0, s.roadMs + ((drive - drag) / mass) * dt);
  s.sinceClearedM += s.roadMs * dt;
}

/** A diesel’s computer governs its idle by fuel. */
export function governFuel(s: Live, dt: number): void {
  if (s.spec.governor !== 'fuel') return;
  const error = clamp(idleTarget(s) - rpmOf(s), -300, 300);
  const foot = (s.pedal / 100) * 0.8;
  s.addedFuel = clamp(s.addedFuel + error * 0.0003 * dt, -0.1, 0.25);
  s.fuelShare = clamp(0.1 + s.addedFuel + error * 0.0004 + foot, 0, 0.85) * s.faults.fuel;
}
