import { blips } from './settling.ts';
import { between, channelOf, type Trace } from './trace.ts';
import { mean } from './statistics.ts';

/** What two recordings are laid over each other by. */
export type AlignOn = 'blip' | 'start' | 'beginning';

/** Two recordings on one time: what happens at `before` in the first happens at `after` in the second, s. */
export interface Alignment {
  readonly on: AlignOn;
  readonly before: number;
  readonly after: number;
}

const RUNS_RPM = 400;

/** The first event of that kind, s; null where the recording has none. */
export function eventAt(trace: Trace, on: AlignOn): number | null {
  const rpm = channelOf(trace, 'rpm');
  if (on === 'beginning') {
    const starts = trace.channels.flatMap(({ times }) => (times.length > 0 ? [times[0]!] : []));
    return starts.length === 0 ? null : Math.min(...starts);
  }
  if (rpm === null) return null;
  if (on === 'blip') {
    const foot = channelOf(trace, 'pedal') ?? channelOf(trace, 'plate');
    return blips(rpm, foot)[0]?.opened ?? null;
  }
  const first = rpm.values.findIndex((value) => value >= RUNS_RPM);
  // It started in this recording only if it was seen not to run before.
  return first > 0 ? rpm.times[first]! : null;
}

/**
 * Lays two recordings over each other on the first matching event.
 * @returns null where either has none of that kind
 */
export function align(before: Trace, after: Trace, on: AlignOn): Alignment | null {
  const [was, is] = [eventAt(before, on), eventAt(after, on)];
  return was === null || is === null ? null : { on, before: was, after: is };
}

/** A condition in which two recordings differ by more than lets them be compared. */
export interface Unlike {
  readonly what: 'coolant' | 'loads' | 'gear' | 'intake' | 'baro';
  readonly before: number;
  readonly after: number;
  readonly unit: string;
}

/** How far apart conditions may be. Above 80 °C an engine is warm, and what is between matters little. */
const COOLANT_C = 8;
const WARM_C = 80;
const INTAKE_C = 15;
const SUPPLY_V = 0.4;
const BARO_KPA = 3;

/** In what two stretches differ so that no verdict is given on them; empty where they are alike enough. */
export function unlike(
  before: Trace,
  after: Trace,
  beforeSpan: { readonly from: number; readonly to: number },
  afterSpan: { readonly from: number; readonly to: number },
): Unlike[] {
  const found: Unlike[] = [];
  const compare = (
    role: 'coolant' | 'volts' | 'road-speed' | 'intake' | 'baro',
    what: Unlike['what'],
    apart: (was: number, is: number) => boolean,
  ): void => {
    const [was, is] = [channelOf(before, role), channelOf(after, role)];
    if (was === null || is === null) return;
    const a = mean(between(was, beforeSpan.from, beforeSpan.to).values);
    const b = mean(between(is, afterSpan.from, afterSpan.to).values);
    if (Number.isFinite(a) && Number.isFinite(b) && apart(a, b))
      found.push({ what, before: a, after: b, unit: was.unit });
  };
  compare('coolant', 'coolant', (a, b) => Math.abs(a - b) > COOLANT_C && Math.min(a, b) < WARM_C);
  compare('volts', 'loads', (a, b) => Math.abs(a - b) > SUPPLY_V);
  compare('road-speed', 'gear', (a, b) => a > 1 !== b > 1);
  compare('intake', 'intake', (a, b) => Math.abs(a - b) > INTAKE_C);
  compare('baro', 'baro', (a, b) => Math.abs(a - b) > BARO_KPA);
  return found;
}
