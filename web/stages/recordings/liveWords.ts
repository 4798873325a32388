import { figuresJudged, figureText, type Job } from '../../../core/job/index.ts';
import {
  type Alignment,
  between,
  channelOf,
  type Difference,
  longestOf,
  type PhaseKind,
  sweepTrack,
  type TraceFigureKind,
  type Unlike,
} from '../../../core/trace/index.ts';
import type { Bracket } from '../../charts/traceCurves.ts';
import type { OpenedRecording } from './useRecordings.ts';

/** Figures that are of each phase. */
const OF_PHASE: Readonly<Record<PhaseKind, readonly TraceFigureKind[]>> = {
  'key-on': [],
  sweep: ['sweep-drop-outs', 'sweep-flat', 'tracks-apart', 'sweep-largest'],
  'cold-idle': ['idle-cold'],
  'warm-idle': ['swing', 'idle', 'idle-share', 'duty', 'steps', 'trim-idle', 'trim-idle-second', 'gap-area'],
  blip: ['settle', 'blip-lowest'],
  loads: ['loads-lowest'],
  road: [],
};

/** One word for a phase, from what its figures come to: *better*, *as before*, *worse*. */
export function phaseWord(job: Job, kind: PhaseKind): 'better' | 'as before' | 'worse' | 'good' | 'not right' | '' {
  const verdicts = figuresJudged(job)
    .filter((each) => OF_PHASE[kind].includes(each.kind))
    .map(({ verdict }) => verdict);
  if (verdicts.includes('worse')) return 'worse';
  if (verdicts.includes('failed')) return 'not right';
  if (verdicts.includes('still there')) return 'as before';
  if (verdicts.includes('gone')) return 'better';
  return verdicts.includes('good') ? 'good' : '';
}

/** What a phase shows, in a sentence: *It no longer hunts.*, *Back in the band in 1.3 s, 8.6 s before.* */
export function phaseSentence(job: Job, kind: PhaseKind): string {
  const parts = figuresJudged(job).flatMap(({ kind: figure, before, after, verdict }) => {
    if (!OF_PHASE[kind].includes(figure) || after === null) return [];
    if (figure === 'swing') {
      if (after.value === 0) return [before !== null && before.value > 0 ? 'It no longer hunts' : 'It does not hunt'];
      return [`It hunts by ${figureText('swing', after)}`];
    }
    if (figure === 'settle')
      return [
        `It settles in ${figureText('settle', after)}${before === null ? '' : `, ${figureText('settle', before)} before`}`,
      ];
    if (figure === 'sweep-drop-outs')
      return [after.value === 0 ? 'No drop-out over the sweep' : `${after.value} drop-outs over the sweep`];
    if (figure === 'loads-lowest') return [`With loads on it falls to ${figureText(figure, after)}`];
    return verdict === 'worse' || verdict === 'failed' ? [`${figureText(figure, after)} is not right`] : [];
  });
  return parts.join('; ');
}

/** Drop-outs that are pointed at; of more, the first. */
const POINTED_AT = 4;

/** Where a track lost contact over the sweep. */
function dropOutsOf({ kept: { when }, trace }: OpenedRecording, zero: number): Bracket[] {
  const phase = longestOf(trace, 'sweep');
  const [plate, pedal] = [channelOf(trace, 'plate'), channelOf(trace, 'pedal') ?? channelOf(trace, 'plate-command')];
  if (phase === null || plate === null || pedal === null) return [];
  const found = sweepTrack(between(plate, phase.from, phase.to), between(pedal, phase.from, phase.to));
  return (found?.dropOuts ?? []).slice(0, POINTED_AT).map(({ from, to, by }) => ({
    when,
    from: from - zero - 0.15,
    to: to - zero + 0.15,
    words: `drop-out ${signed(by)} %, ${when}`,
  }));
}

/** Brackets over the first lane: a swing, the settling, drop-outs of a sweep. @param zero seconds of the recording at zero */
export function bracketsOf(opened: OpenedRecording, kind: PhaseKind, zero: number): Bracket[] {
  if (kind === 'sweep') return dropOutsOf(opened, zero);
  const { kept } = opened;
  const figure = (of: TraceFigureKind) => kept.figures.find((each) => each.kind === of);
  const { when } = kept;
  if (kind === 'blip') {
    const settle = figure('settle');
    return settle === undefined
      ? []
      : [{ when, from: settle.from - zero, to: settle.to - zero, words: `${figureText('settle', settle)} ${when}` }];
  }
  const [swing, period] = [figure('swing'), figure('swing-period')];
  if (kind !== 'warm-idle' || swing === undefined || period === undefined) return [];
  const from = swing.from - zero + 1;
  return [
    {
      when,
      from,
      to: from + period.value,
      words: `${period.value.toFixed(1)} s a swing, ±${Math.round(swing.value)} rpm`,
    },
  ];
}

const UNLIKE: Readonly<Record<Unlike['what'], string>> = {
  coolant: 'coolant',
  loads: 'supply',
  gear: 'road speed',
  intake: 'intake air',
  baro: 'air pressure outside',
};
/** In what two stretches were not alike: *coolant 40 °C before, 88 °C after*. */
export const unlikeWords = ({ what, before, after, unit }: Unlike): string =>
  `${UNLIKE[what]} ${round(before)} ${unit} before, ${round(after)} ${unit} after`;

/** What changed, with its uncertainty; or that nothing can be shown. */
export function differenceWords(name: string, unit: string, found: Difference | null): string {
  if (found === null) return `${name}: too short to say`;
  if (!found.shown)
    return `${name}: no difference that this recording can show (within ±${round(Math.max(Math.abs(found.low), Math.abs(found.high)))} ${unit})`;
  return `${name}: ${found.shift > 0 ? '+' : '−'}${round(Math.abs(found.shift))} ${unit} (${signed(found.low)} to ${signed(found.high)})`;
}
const round = (value: number): string =>
  String(Math.abs(value) >= 100 ? Math.round(value) : Math.round(value * 10) / 10).replace('-', '−');
const signed = (value: number): string => `${value > 0 ? '+' : ''}${round(value)}`;

/** What both are laid on, in words. */
export const ALIGNED: Readonly<Record<Alignment['on'], string>> = {
  blip: 'Laid on the blip',
  start: 'Laid on the start',
  beginning: 'Laid on their beginnings',
};
