import { type Across, cylinderFlow, effectiveArea, flowPerMm2 } from './orifice.ts';
import { openPlateArea, type Plates } from './plates.ts';

/** A stretch of steady warm idle, as means with their standard errors. */
export interface IdleReading {
  readonly rpm: Estimate;
  /** Air mass by the meter, g/s; null where the engine has none. */
  readonly airMass: Estimate | null;
  /** Manifold pressure, kPa; null where it is not read. */
  readonly manifoldKPa: Estimate | null;
  /** Intake air, °C. */
  readonly intakeC: number;
  /** Air pressure outside, kPa. */
  readonly baroKPa: number;
  /** What the idle valve is driven to, %; null where there is none or it is not read. */
  readonly valveDuty: Estimate | null;
  /** How far the plate is opened from its stop, °; null where the foot is off a cable or it is not read. */
  readonly plateDeg: Estimate | null;
}

/** A figure and the standard deviation of what is known of it. */
export interface Estimate {
  readonly value: number;
  readonly sd: number;
}

/** What is known of the engine. */
export interface Airway {
  readonly displacementL: number;
  /** Volumetric efficiency at idle; typically 0.70 ± 0.05 of what the displacement holds at manifold pressure. */
  readonly volumetricEfficiency: Estimate;
  /** Share by which an air-mass meter may be off, as a standard deviation. */
  readonly meterError: number;
  /** What the idle valve lets through a per cent of duty, mm²; null where there is no valve or it is not known. */
  readonly valveMm2PerPercent: Estimate | null;
  /** Bores and the angle at which their plates close; absent where the plate does not govern the idle. */
  readonly plate: Plates | null;
}

/** How much air area the idle has, and how it was come by. */
export interface IdleArea {
  /** All that flows, as effective area, mm². */
  readonly total: Estimate;
  /** What the controller lets through, mm²: the valve at its duty, or the plate as far as it is opened. */
  readonly governed: Estimate;
  /** What gap and leaks let through together, mm². */
  readonly ungoverned: Estimate;
  /** Share of the total that scales with the one sensor or efficiency that it rests on, as a standard deviation. */
  readonly commonError: number;
  readonly by: 'air mass' | 'speed and pressure';
}

/** An idling engine without a pressure sensor is taken to be choked: nearly all are. */
const CHOKED_KPA = 40;

/**
 * The air that the idle lives on, as effective area.
 * @returns null where neither air mass nor manifold pressure was read, or the engine does not turn
 */
export function idleArea(reading: IdleReading, airway: Airway): IdleArea | null {
  const { rpm, airMass, manifoldKPa, intakeC, baroKPa } = reading;
  if (rpm.value <= 0 || (airMass === null && manifoldKPa === null)) return null;
  const across: Across = {
    upstreamKPa: baroKPa,
    downstreamKPa: manifoldKPa?.value ?? CHOKED_KPA,
    upstreamC: intakeC,
  };
  const eta = airway.volumetricEfficiency;
  const flow =
    airMass?.value ??
    cylinderFlow({
      rpm: rpm.value,
      displacementL: airway.displacementL,
      manifoldKPa: manifoldKPa?.value ?? 0,
      manifoldC: intakeC,
      volumetricEfficiency: eta.value,
    });
  const area = effectiveArea(flow, across);
  if (area === null) return null;
  const random =
    airMass !== null
      ? airMass.sd / Math.max(airMass.value, 1e-9)
      : Math.hypot(rpm.sd / rpm.value, (manifoldKPa?.sd ?? 0) / Math.max(manifoldKPa?.value ?? 0, 1e-9));
  // Above the choked ratio the pressure counts twice: through what is drawn and through what flows.
  const steep = slopeOf(across, manifoldKPa?.sd ?? 0);
  const commonError = airMass !== null ? airway.meterError : eta.sd / eta.value;
  const total = { value: area, sd: area * Math.hypot(random, steep, commonError) };
  const governed = governedArea(reading, airway);
  return {
    total,
    governed,
    ungoverned: {
      value: Math.max(0, total.value - governed.value),
      sd: Math.hypot(total.sd, governed.sd),
    },
    commonError,
    by: airMass !== null ? 'air mass' : 'speed and pressure',
  };
}

/** By what share the area changes when the pressure behind it is off by so much. */
function slopeOf(across: Across, sdKPa: number): number {
  const here = flowPerMm2(across);
  const there = flowPerMm2({ ...across, downstreamKPa: across.downstreamKPa + Math.max(sdKPa, 1e-6) });
  return here > 0 ? Math.abs(there - here) / here : 0;
}

function governedArea({ valveDuty, plateDeg }: IdleReading, { valveMm2PerPercent, plate }: Airway): Estimate {
  const parts: Estimate[] = [];
  if (valveDuty !== null && valveMm2PerPercent !== null)
    parts.push({
      value: valveDuty.value * valveMm2PerPercent.value,
      sd: Math.hypot(valveDuty.sd * valveMm2PerPercent.value, valveDuty.value * valveMm2PerPercent.sd),
    });
  if (plateDeg !== null && plate !== null) {
    const at = (degrees: number): number => openPlateArea(plate, Math.max(0, degrees));
    parts.push({
      value: at(plateDeg.value),
      sd: Math.abs(at(plateDeg.value + plateDeg.sd) - at(plateDeg.value)),
    });
  }
  return parts.reduce((sum, each) => ({ value: sum.value + each.value, sd: Math.hypot(sum.sd, each.sd) }), {
    value: 0,
    sd: 0,
  });
}

/** What was found again, with its 80 % interval; all in mm². */
export interface Recovered {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** The interval leaves out zero: there is a difference that this can show. */
  readonly shown: boolean;
}

/** Ten per cent of a normal distribution lie beyond this many standard deviations on either side. */
const EIGHTY = 1.2816;

/**
 * How much more gap and leaks let through after the work than before it. What is off in the sensor, the efficiency or
 * the valve’s curve is the same both times, and counts only by the difference.
 */
export function recovered(before: IdleArea, after: IdleArea): Recovered {
  const value = after.ungoverned.value - before.ungoverned.value;
  const own = (area: IdleArea): number =>
    Math.sqrt(Math.max(0, area.total.sd ** 2 - (area.total.value * area.commonError) ** 2));
  const common =
    before.by === after.by
      ? (after.total.value - before.total.value) * after.commonError
      : Math.hypot(before.total.value * before.commonError, after.total.value * after.commonError);
  const share = (area: IdleArea): number => (area.governed.value > 0 ? area.governed.sd / area.governed.value : 0);
  const curve = (after.governed.value - before.governed.value) * Math.max(share(before), share(after));
  const sd = Math.hypot(own(before), own(after), common, curve);
  const half = EIGHTY * sd;
  return { value, low: value - half, high: value + half, shown: Math.abs(value) > half };
}
