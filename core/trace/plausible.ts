import { cylinderFlow } from '../airflow/index.ts';
import { longestOf } from './phases.ts';
import { mean, resolutionOf } from './statistics.ts';
import { between, type Channel, channelOf, type Role, type Trace } from './trace.ts';

/** Something a sensor says that cannot be, or that another contradicts. */
export interface Implausible {
  readonly role: Role;
  readonly what: 'stuck' | 'manifold-key-on' | 'cold-apart' | 'air-mass-apart' | 'supply' | 'above-supply';
  readonly value: number;
  readonly expected: { readonly low: number; readonly high: number };
  readonly unit: string;
}

/** Channels that move whenever the engine runs. */
const LIVELY: readonly Role[] = ['rpm', 'manifold', 'air-mass', 'plate'];
const KEY_ON_KPA = 4;
const COLD_APART_C = 10;
const AIR_APART = 0.3;
/** Volumetric efficiency that an idling engine usually has. */
const USUAL_ETA = { low: 0.5, high: 0.95 };

/** What does not fit together in a recording. @param displacementL null where it is not known */
export function plausibility(trace: Trace, displacementL: number | null): Implausible[] {
  return [
    ...stuck(trace),
    ...atKeyOn(trace),
    ...coldApart(trace),
    ...airApart(trace, displacementL),
    ...supply(trace),
    ...aboveSupply(trace),
  ];
}

function stuck(trace: Trace): Implausible[] {
  const rpm = channelOf(trace, 'rpm');
  if (rpm === null || resolutionOf(rpm.values) === 0) return [];
  return LIVELY.flatMap((role): Implausible[] => {
    const channel = channelOf(trace, role);
    if (channel === null || role === 'rpm' || channel.values.length < 20 || resolutionOf(channel.values) > 0) return [];
    const moved = Math.max(...extremes(rpm)) > 1.5 * Math.max(1, Math.min(...extremes(rpm)));
    const value = channel.values[0]!;
    return moved ? [{ role, what: 'stuck', value, expected: { low: value, high: value }, unit: channel.unit }] : [];
  });
}

function extremes({ values }: Channel): [number, number] {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const value of values) {
    low = Math.min(low, value);
    high = Math.max(high, value);
  }
  return [low, high];
}

/** Without the engine, the manifold is at the pressure outside. */
function atKeyOn(trace: Trace): Implausible[] {
  const phase = longestOf(trace, 'key-on') ?? longestOf(trace, 'sweep');
  const manifold = channelOf(trace, 'manifold');
  if (phase === null || manifold === null) return [];
  const value = mean(between(manifold, phase.from, phase.to).values);
  const baro = channelOf(trace, 'baro');
  const outside = baro === null ? null : mean(baro.values);
  const expected =
    outside === null ? { low: 75, high: 106 } : { low: outside - KEY_ON_KPA, high: outside + KEY_ON_KPA };
  return value < expected.low || value > expected.high
    ? [{ role: 'manifold', what: 'manifold-key-on', value, expected, unit: 'kPa' }]
    : [];
}

/** An engine that stood overnight is as warm everywhere. */
function coldApart(trace: Trace): Implausible[] {
  const [coolant, intake] = [channelOf(trace, 'coolant'), channelOf(trace, 'intake')];
  if (coolant === null || intake === null || coolant.values.length === 0 || intake.values.length === 0) return [];
  const value = coolant.values[0]!;
  const air = intake.values[0]!;
  // Colder than the air it stands in: no engine is.
  return value < air - COLD_APART_C
    ? [{ role: 'coolant', what: 'cold-apart', value, expected: { low: air - COLD_APART_C, high: 130 }, unit: '°C' }]
    : [];
}

/** What the meter says against what the cylinders can draw at that pressure. */
function airApart(trace: Trace, displacementL: number | null): Implausible[] {
  const phase = longestOf(trace, 'warm-idle');
  const [air, manifold, rpm, intake] = (['air-mass', 'manifold', 'rpm', 'intake'] as const).map((role) =>
    channelOf(trace, role),
  );
  if (phase === null || displacementL === null || !air || !manifold || !rpm) return [];
  const at = (channel: Channel): number => mean(between(channel, phase.from, phase.to).values);
  const drawn = (volumetricEfficiency: number): number =>
    cylinderFlow({
      rpm: at(rpm),
      displacementL,
      manifoldKPa: at(manifold),
      manifoldC: intake ? at(intake) : 25,
      volumetricEfficiency,
    });
  const value = at(air);
  const expected = { low: drawn(USUAL_ETA.low) * (1 - AIR_APART), high: drawn(USUAL_ETA.high) * (1 + AIR_APART) };
  return Number.isFinite(value) && (value < expected.low || value > expected.high)
    ? [{ role: 'air-mass', what: 'air-mass-apart', value, expected, unit: 'g/s' }]
    : [];
}

function supply(trace: Trace): Implausible[] {
  const phase = longestOf(trace, 'warm-idle');
  const volts = channelOf(trace, 'volts');
  if (phase === null || volts === null) return [];
  const value = mean(between(volts, phase.from, phase.to).values);
  return Number.isFinite(value) && (value < 13 || value > 15.2)
    ? [{ role: 'volts', what: 'supply', value, expected: { low: 13, high: 15.2 }, unit: 'V' }]
    : [];
}

/** What feeds position sensors, V, and how far over it a reading may be off. */
const SENSOR_SUPPLY_V = 5;
const OVER_V = 0.25;
const TRACKS: readonly Role[] = ['plate', 'plate-second', 'pedal', 'pedal-second'];

/** A track that is told in volts cannot give more than it is fed with. */
const aboveSupply = (trace: Trace): Implausible[] =>
  TRACKS.flatMap((role): Implausible[] => {
    const channel = channelOf(trace, role);
    if (channel === null || channel.unit !== 'V') return [];
    const [, value] = extremes(channel);
    return value > SENSOR_SUPPLY_V + OVER_V
      ? [{ role, what: 'above-supply', value, expected: { low: 0, high: SENSOR_SUPPLY_V }, unit: 'V' }]
      : [];
  });
