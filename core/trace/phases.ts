import { blips } from './settling.ts';
import { quantile } from './statistics.ts';
import { between, type Channel, channelOf, indexAt, type Phase, type PhaseKind, type Trace, valueAt } from './trace.ts';

/** Below this an engine does not turn by itself, rpm. */
const TURNS_RPM = 300;
const WARM_C = 70;
/** Foot travel with the engine off that is a sweep, per cent. */
const SWEEP_TRAVEL = 30;
const SHORTEST_S = 3;
/** Around a blip this much is part of it, s. */
const BEFORE_BLIP_S = 2;
const AFTER_BLIP_S = 12;
/** Supply that sags by this when loads come on, V. */
const LOAD_SAG_V = 0.25;

/**
 * Phases of a recording, found from what it shows: key on and sweep without the engine, idle cold and warm, blips, loads
 * and road. Phases that somebody marked stand; only what is unmarked is looked at.
 */
export function phasesFound(trace: Trace): Phase[] {
  const rpm = channelOf(trace, 'rpm');
  const foot = channelOf(trace, 'pedal') ?? channelOf(trace, 'plate');
  const all = trace.channels.filter(({ times }) => times.length > 1);
  if (all.length === 0) return [];
  const [from, to] = [
    Math.min(...all.map(({ times }) => times[0]!)),
    Math.max(...all.map(({ times }) => times[times.length - 1]!)),
  ];
  if (rpm === null || rpm.times.length < 2) {
    return foot !== null && travel(foot) >= SWEEP_TRAVEL ? [{ kind: 'sweep', from, to }] : [];
  }
  const marks = second(trace, rpm, foot, from, to);
  for (const blip of blipsOutside(rpm, foot, trace)) {
    const [start, end] = [Math.max(from, blip.opened - BEFORE_BLIP_S), Math.min(to, blip.closed + AFTER_BLIP_S)];
    for (let at = Math.floor(start - from); at < end - from; at += 1)
      if (marks[at] !== 'road' && marks[at] !== undefined) marks[at] = 'blip';
  }
  return stretches(marks, from, to).filter((each) => each.to - each.from >= SHORTEST_S || each.kind === 'blip');
}

const travel = ({ values }: Channel): number => quantile(values, 1) - quantile(values, 0);

const blipsOutside = (rpm: Channel, foot: Channel | null, trace: Trace) => {
  const road = channelOf(trace, 'road-speed');
  return blips(rpm, foot).filter(({ opened }) => road === null || !(valueAt(road, opened) > 1));
};

/** What each second of the recording is. */
function second(trace: Trace, rpm: Channel, foot: Channel | null, from: number, to: number): (PhaseKind | null)[] {
  const coolant = channelOf(trace, 'coolant');
  const road = channelOf(trace, 'road-speed');
  const volts = channelOf(trace, 'volts');
  const running: number[] = [];
  const marks: (PhaseKind | null)[] = [];
  const keyOn: { from: number; to: number }[] = [];
  for (let at = from; at < to; at += 1) {
    const speed = valueAt(rpm, at + 0.5);
    if (speed < TURNS_RPM) {
      marks.push('key-on');
      const last = keyOn.at(-1);
      if (last !== undefined && last.to === at) last.to = at + 1;
      else keyOn.push({ from: at, to: at + 1 });
      continue;
    }
    if (volts !== null) running.push(valueAt(volts, at + 0.5));
    if (road !== null && valueAt(road, at + 0.5) > 1) marks.push('road');
    else marks.push(coolant !== null && valueAt(coolant, at + 0.5) < WARM_C ? 'cold-idle' : 'warm-idle');
  }
  for (const stretch of keyOn) {
    if (foot === null || travel(between(foot, stretch.from, stretch.to)) < SWEEP_TRAVEL) continue;
    for (let at = stretch.from - from; at < stretch.to - from; at += 1) marks[at] = 'sweep';
  }
  // Loads are told by the supply: it sags against what it is most of the time.
  if (volts !== null && running.length > 10) {
    const usual = quantile(running, 0.7);
    marks.forEach((mark, at) => {
      if (mark === 'warm-idle' && valueAt(volts, from + at + 0.5) < usual - LOAD_SAG_V) marks[at] = 'loads';
    });
  }
  return marks;
}

function stretches(marks: readonly (PhaseKind | null)[], from: number, to: number): Phase[] {
  const found: Phase[] = [];
  marks.forEach((kind, at) => {
    const last = found.at(-1);
    if (kind === null) return;
    const start = from + at;
    if (last !== undefined && last.kind === kind && last.to === start)
      found[found.length - 1] = { ...last, to: Math.min(to, start + 1) };
    else found.push({ kind, from: start, to: Math.min(to, start + 1) });
  });
  return found;
}

/** The longest stretch of a phase, or null where there is none. */
export function longestOf(trace: Trace, kind: PhaseKind): Phase | null {
  return trace.phases
    .filter((each) => each.kind === kind)
    .reduce<Phase | null>(
      (best, each) => (best === null || each.to - each.from > best.to - best.from ? each : best),
      null,
    );
}

/** How many readings of a channel lie in a phase. */
export const readingsIn = ({ times }: Channel, { from, to }: Phase): number =>
  indexAt(times, to) - indexAt(times, from);
