import {
  flag,
  id,
  keyOf,
  line,
  list,
  number,
  oneOf,
  optional,
  orNull,
  pictureHash,
  record,
  time,
  whole,
} from '../../shape/index.ts';
import { PHASES, ROLES, TRACE_FIGURES } from '../../trace/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { condition } from '../proof/conditions.ts';
import { when } from '../shapes.ts';

/** What {@link recordingKept} holds: the recording by the hash of its file, and what was found in it then. */
export const recordingKeptShape = record({
  id,
  hash: pictureHash,
  when,
  startedAt: time,
  /** The adapter or the file that it came from. */
  from: line,
  seconds: number,
  readings: whole,
  channels: list(record({ role: orNull(keyOf(ROLES)), name: line, unit: line }), { high: 64 }),
  phases: list(record({ kind: keyOf(PHASES), from: number, to: number }), { high: 200 }),
  /** How it ended: stopped, lost in the middle, or read from a file. */
  ended: oneOf('stopped', 'lost', 'file'),
  figures: list(
    record({
      kind: keyOf(TRACE_FIGURES),
      value: number,
      sd: orNull(number),
      /** The recording ended before; left out where the value is what it came to. */
      atLeast: optional(flag),
      from: number,
      to: number,
    }),
    { high: 64 },
  ),
  /** What could not be told, and why. */
  untold: list(line, { high: 20 }),
  /** What a sensor said that cannot be, or that another contradicts. */
  odd: list(line, { high: 20 }),
  ...condition,
});
/** Live data were recorded. */
export const recordingKept = fact('recording-kept', {
  shape: recordingKeptShape,
  means: (job, data, stamp) => ({
    recordings: [...job.recordings.filter(({ id: known }) => known !== data.id), { ...data, ...stamp }],
  }),
  words: ({ when: phase, seconds, channels }) =>
    `Live data ${phase}: ${Math.round(seconds)} s of ${channels.length === 1 ? 'one value' : `${channels.length} values`}`,
  putRight: {},
  sheet: 'Proved',
});

/** Keeps a recording of which the file is stored. */
export const keepRecording = command('keep-recording', {
  shape: recordingKeptShape,
  decide: (_, data) =>
    data.readings === 0 || data.channels.length === 0
      ? refuse('nothing-read', 'Nothing was recorded.', 'Is the key on, and the adapter plugged in?')
      : accept(recordingKept.of(data)),
});
