import { type Role, SETTLES_S, TRACE_FIGURES, type TraceFigureKind } from '../../trace/index.ts';
import type { Figure } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import { overtaken, type Verdict } from '../proof/line.ts';
import { lastMoved } from '../proof/moved.ts';
import type { When } from '../stamp.ts';
import type { RecordingKept } from './state.ts';

/** A figure, and whether that is only what it came to at least. */
export interface FigureValue {
  readonly value: number;
  readonly atLeast?: boolean | undefined;
}

/** A figure of a recording, with the recording that it is of. */
export interface FigureSeen {
  readonly value: number;
  readonly sd: number | null;
  /** It took longer: the recording ended before. */
  readonly atLeast: boolean;
  readonly of: RecordingKept;
}

/** The last figure of that kind before or after the work, or null. */
export function figureSeen(job: Job, kind: TraceFigureKind, when: When): FigureSeen | null {
  for (const of of [...job.recordings].reverse()) {
    const found = of.when === when ? of.figures.find((each) => each.kind === kind) : undefined;
    if (found !== undefined) return { value: found.value, sd: found.sd, atLeast: found.atLeast ?? false, of };
  }
  return null;
}

/** The band that a channel of a recording belongs in, or null. */
export const recordingBandOf = (job: Job, role: Role): Figure | null =>
  role === 'rpm' ? job.vehicle.figures.idleRpm : role === 'duty' ? job.vehicle.figures.valveDuty : null;

/** Trims together within this are as usual, per cent. */
export const TRIMS_WITHIN = 10;
/** Two tracks that disagree by more do not belong together, per cent of the supply. */
export const TRACKS_WITHIN = 2;
/** Speed may fall so far below its band after a blip or with loads on. */
export const SAGS_TO = 0.85;

/** Whether a figure is as it should be; null where nothing says what it should be. */
export function figureGood(job: Job, kind: TraceFigureKind, value: number): boolean | null {
  const { idleRpm, valveDuty } = job.vehicle.figures;
  const within = (band: { readonly low: number; readonly high: number } | null): boolean | null =>
    band === null ? null : value >= band.low && value <= band.high;
  switch (kind) {
    case 'idle':
      return within(idleRpm);
    case 'duty':
      return within(valveDuty);
    case 'swing':
    case 'sweep-drop-outs':
    case 'sweep-flat':
      return value === 0;
    case 'settle':
      return value <= SETTLES_S;
    case 'blip-lowest':
    case 'loads-lowest':
      return idleRpm === null ? null : value >= SAGS_TO * idleRpm.low;
    case 'trim-idle':
    case 'trim-held':
    case 'trim-idle-second':
    case 'trim-held-second':
      return Math.abs(value) <= TRIMS_WITHIN;
    case 'tracks-apart':
    case 'tracks-apart-running':
      return value <= TRACKS_WITHIN;
    case 'idle-share':
      return idleRpm === null ? null : value >= 95;
    default:
      return null;
  }
}

const DECIMALS: Readonly<Record<string, number>> = {
  s: 1,
  '%': 1,
  rpm: 0,
  'mm²': 1,
  'g/s': 2,
  kPa: 1,
  steps: 0,
  '': 0,
};
/** Shown one decimal finer than the rest: a curve of a valve is small. */
const FINER: ReadonlySet<TraceFigureKind> = new Set<TraceFigureKind>(['valve-curve']);

/** A figure as it is said: *±140 rpm*, *no swing*, *8.6 s*, *over 12.0 s*. */
export function figureText(kind: TraceFigureKind, { value, atLeast = false }: FigureValue): string {
  const { unit } = TRACE_FIGURES[kind];
  if (kind === 'swing') return value === 0 ? 'no swing' : `±${Math.round(value)} rpm`;
  if (kind === 'sweep-drop-outs' || kind === 'sweep-flat') return value === 0 ? 'none' : String(value);
  const over = atLeast ? 'over ' : '';
  return `${over}${value.toFixed((DECIMALS[unit] ?? 1) + (FINER.has(kind) ? 1 : 0))}${unit === '' ? '' : ` ${unit}`}`;
}

/** What a figure means here, in a sentence; empty where there is nothing to say. */
export function figureMeans(job: Job, kind: TraceFigureKind, value: number): string {
  const good = figureGood(job, kind, value);
  switch (kind) {
    case 'swing':
      return good
        ? 'The idle stands.'
        : 'The idle hunts: something lets air or fuel in and takes it back, over and over.';
    case 'settle':
      return good
        ? 'It comes back at once.'
        : 'Slow to come back: the plate, the valve or what was learned holds it up.';
    case 'blip-lowest':
      return good === false ? 'It falls too far after a blip: little is missing for it to stall coming to rest.' : '';
    case 'loads-lowest':
      return good === false ? 'Loads pull it down: it has no idle air left to give.' : '';
    case 'trim-idle':
    case 'trim-idle-second': {
      if (good) return 'Mixture at idle is as it should be.';
      return value > 0
        ? 'Lean at idle: air comes in that is not metered. Gone at speed, it is a leak; there too, it is fuel or the meter.'
        : 'Rich at idle: fuel comes that is not asked for, or the meter says too much.';
    }
    case 'trim-held':
    case 'trim-held-second':
      return good ? '' : 'Off at speed too: rather fuel or the meter than a leak.';
    case 'sweep-drop-outs':
      return good ? '' : 'The track loses contact on the way: worn or dirty.';
    case 'sweep-flat':
      return good ? '' : 'The track stands still while it is moved.';
    case 'tracks-apart':
    case 'tracks-apart-running':
      return good === false ? 'The tracks contradict each other: the computer will not trust them.' : '';
    case 'duty':
      return good === false ? 'The valve works outside its band: too little air gets by the plate, or too much.' : '';
    case 'idle':
      return good === false ? 'Outside its band.' : '';
    default:
      return '';
  }
}

/** A figure before and after, judged. */
export interface FigureJudged {
  readonly kind: TraceFigureKind;
  readonly before: FigureSeen | null;
  readonly after: FigureSeen | null;
  readonly verdict: Verdict;
  /** Why it does not count; empty where it does. */
  readonly remark: string;
}

const WORSE_BY = 1.1;

/** Every figure that recordings of the job show, before against after. */
export function figuresJudged(job: Job): FigureJudged[] {
  const moved = lastMoved(job);
  return (Object.keys(TRACE_FIGURES) as TraceFigureKind[]).flatMap((kind): FigureJudged[] => {
    const before = figureSeen(job, kind, 'before');
    const after = figureSeen(job, kind, 'after');
    if (before === null && after === null) return [];
    const old = after === null ? null : overtaken(after.of, moved);
    return [
      {
        kind,
        before,
        after,
        verdict:
          after === null || old !== null ? 'not tried' : verdictOf(job, kind, before?.value ?? null, after.value),
        remark: old === null ? '' : `recorded ${old}`,
      },
    ];
  });
}

function verdictOf(job: Job, kind: TraceFigureKind, before: number | null, after: number): Verdict {
  const good = figureGood(job, kind, after);
  if (good === null) return 'shown';
  const wasBad = before !== null && figureGood(job, kind, before) === false;
  if (good) return wasBad ? 'gone' : 'good';
  if (before === null) return 'failed';
  const [was, is] = [outBy(job, kind, before), outBy(job, kind, after)];
  return is > was * WORSE_BY || !wasBad ? 'worse' : 'still there';
}

/** How far a figure is from where it should be, in its unit. */
function outBy(job: Job, kind: TraceFigureKind, value: number): number {
  const { idleRpm, valveDuty } = job.vehicle.figures;
  const from = (low: number, high: number): number => Math.max(low - value, value - high, 0);
  if (kind === 'idle' && idleRpm !== null) return from(idleRpm.low, idleRpm.high);
  if (kind === 'duty' && valveDuty !== null) return from(valveDuty.low, valveDuty.high);
  if ((kind === 'blip-lowest' || kind === 'loads-lowest') && idleRpm !== null)
    return from(SAGS_TO * idleRpm.low, Number.POSITIVE_INFINITY);
  return kind === 'idle-share' ? 100 - value : Math.abs(value);
}
