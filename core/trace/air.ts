import { type Airway, type Estimate, idleArea, type IdleArea, type IdleReading } from '../airflow/index.ts';
import { evenly } from './even.ts';
import { deviation, mean, quantile } from './statistics.ts';
import { theilSen } from './straightLine.ts';
import { between, type Channel, channelOf, FULL_STEPS, type Phase, type Trace, valueAt } from './trace.ts';

/** What is known of an engine for the air of its idle. */
export interface AirOf {
  readonly displacementL: number;
  /** Bore of a plate that the computer moves, mm; null where a valve governs the idle or it is not known. */
  readonly boreMm: number | null;
  readonly bodies: number;
  /** What the valve lets through a per cent, mm², where it is known beforehand. */
  readonly valveMm2PerPercent: Estimate | null;
}

/** Usual of port-injected petrol engines at idle, with how far they lie apart. */
const VOLUMETRIC: Estimate = { value: 0.7, sd: 0.05 };
/** An air-mass meter is good to this share. */
const METER_ERROR = 0.03;
const CLOSED_DEG = 6;
const USUAL_BARO_KPA = 101;
const USUAL_INTAKE_C = 25;
/** Travel of a valve over a recording from which its curve can be found, per cent. */
const LEAST_TRAVEL = 4;

/** A mean with its standard error, counting readings that hang together as fewer. */
function estimate(channel: Channel | null, from: number, to: number): Estimate | null {
  if (channel === null) return null;
  const part = between(channel, from, to);
  if (part.values.length < 5) return null;
  const even = evenly(part);
  const spread = deviation(part.values);
  const seconds = Math.max(to - from, 1);
  // Idle wanders over about two seconds: that many stretches are independent.
  const independent = Math.max(2, Math.min(part.values.length, even === null ? part.values.length : seconds / 2));
  return { value: mean(part.values), sd: spread / Math.sqrt(independent) };
}

const inPercent = ({ value, sd }: Estimate): Estimate => ({
  value: (value / FULL_STEPS) * 100,
  sd: (sd / FULL_STEPS) * 100,
});

/** The reading of a stretch of idle that its air is found from; null without an engine that turns. */
export function idleReading(trace: Trace, { from, to }: Pick<Phase, 'from' | 'to'>): IdleReading | null {
  const of = (role: Parameters<typeof channelOf>[1]): Estimate | null => estimate(channelOf(trace, role), from, to);
  const rpm = of('rpm');
  if (rpm === null) return null;
  const steps = of('steps');
  return {
    rpm,
    airMass: of('air-mass'),
    manifoldKPa: of('manifold'),
    intakeC: of('intake')?.value ?? USUAL_INTAKE_C,
    baroKPa: of('baro')?.value ?? USUAL_BARO_KPA,
    valveDuty: of('duty') ?? (steps === null ? null : inPercent(steps)),
    plateDeg: of('plate-degrees'),
  };
}

/**
 * What a valve lets through a per cent, from a recording in which it had to move: total air against its duty, by
 * Theil–Sen over idle.
 * @returns null where it moved too little, or no air can be told
 */
export function valveCurve(trace: Trace, air: AirOf): Estimate | null {
  const duty = channelOf(trace, 'duty') ?? channelOf(trace, 'steps');
  if (duty === null) return null;
  const scale = duty.role === 'steps' ? 100 / FULL_STEPS : 1;
  const idle = trace.phases.filter(({ kind }) => kind === 'cold-idle' || kind === 'warm-idle' || kind === 'loads');
  const areas: number[] = [];
  const duties: number[] = [];
  for (const { from, to } of idle)
    for (let at = from; at + 2 <= to; at += 2) {
      const reading = idleReading(trace, { from: at, to: at + 2 });
      const area = reading === null ? null : idleArea({ ...reading, valveDuty: null }, airwayOf(air, null));
      if (area === null) continue;
      areas.push(area.total.value);
      duties.push(valueAt(duty, at + 1) * scale);
    }
  if (duties.length < 8 || quantile(duties, 0.95) - quantile(duties, 0.05) < LEAST_TRAVEL) return null;
  const line = theilSen(duties, areas);
  if (line === null || line.slope <= 0) return null;
  const off = deviation(areas.map((area, at) => area - line.intercept - line.slope * duties[at]!));
  return { value: line.slope, sd: off / (deviation(duties) * Math.sqrt(duties.length / 3)) };
}

const airwayOf = ({ displacementL, boreMm, bodies }: AirOf, curve: Estimate | null): Airway => ({
  displacementL,
  volumetricEfficiency: VOLUMETRIC,
  meterError: METER_ERROR,
  valveMm2PerPercent: curve,
  plate: boreMm === null ? null : { boreMm, closedDeg: CLOSED_DEG, bodies },
});

/** The air of a stretch of idle. @param curve of the valve; null where there is none @returns null where it cannot be told */
export function idleAirIn(
  trace: Trace,
  phase: Pick<Phase, 'from' | 'to'>,
  air: AirOf,
  curve: Estimate | null,
): IdleArea | null {
  const reading = idleReading(trace, phase);
  return reading === null ? null : idleArea(reading, airwayOf(air, curve));
}
