import { phasesFound, type ReportBy, reportOn, type Trace } from '../../trace/index.ts';
import type { CommandData } from '../catalogue.ts';
import type { Condition } from '../proof/conditions.ts';
import type { When } from '../stamp.ts';
import { oddWords } from './oddWords.ts';

/** What is known of a recording beside what it shows. */
export interface RecordingSource {
  readonly id: string;
  readonly hash: string;
  readonly when: When;
  readonly startedAt: string;
  readonly from: string;
  readonly ended: 'stopped' | 'lost' | 'file';
  readonly under: Condition;
}

const round = (value: number): number => Math.round(value * 1e4) / 1e4;

/** Phases that somebody marked; where nobody did, those that it shows by itself. */
export const withPhases = (trace: Trace): Trace =>
  trace.phases.length > 0 ? trace : { ...trace, phases: phasesFound(trace) };

/** The command that keeps a recording, with everything that it shows now. Both the server and the browser make it so. */
export function keepingOf(trace: Trace, source: RecordingSource, by: ReportBy): CommandData['keep-recording'] {
  const marked = withPhases(trace);
  const { figures, untold, implausible } = reportOn(marked, by);
  const { under, ...rest } = source;
  const ends = trace.channels.flatMap(({ times }) => (times.length === 0 ? [] : [times[0]!, times[times.length - 1]!]));
  return {
    ...rest,
    seconds: ends.length === 0 ? 0 : round(Math.max(...ends) - Math.min(...ends)),
    readings: trace.channels.reduce((sum, { times }) => sum + times.length, 0),
    channels: trace.channels.slice(0, 64).map(({ role, name, unit }) => ({ role, name, unit })),
    phases: marked.phases.slice(0, 200).map(({ kind, from, to }) => ({ kind, from: round(from), to: round(to) })),
    figures: figures.map(({ kind, value, sd, atLeast, from, to }) => ({
      kind,
      value: round(value),
      sd: sd === null ? null : round(sd),
      ...(atLeast === undefined ? {} : { atLeast }),
      from: round(from),
      to: round(to),
    })),
    untold: untold.slice(0, 20),
    odd: implausible.map(oddWords).slice(0, 20),
    ...(under.place === undefined ? {} : { place: under.place }),
    ...(under.state === undefined ? {} : { state: under.state }),
  };
}
