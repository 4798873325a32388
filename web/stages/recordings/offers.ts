import { figureGood, type Job, type RecordingKept } from '../../../core/job/index.ts';
import type { Knowledge } from '../../../core/diagnose/index.ts';
import type { TraceFigureKind } from '../../../core/trace/index.ts';

/** A figure of a recording as a finding of the diagnosis: a check with what would be typed, or an answer. */
export type Offer =
  | { readonly how: 'check'; readonly sign: string; readonly typed: readonly string[] }
  | { readonly how: 'answer'; readonly sign: string; readonly outcome: string };

/** Checks that a figure answers by its value. */
const CHECKS: Readonly<Partial<Record<TraceFigureKind, string>>> = {
  idle: 'idle-speed',
  duty: 'valve-duty',
  'air-mass': 'air-mass',
  manifold: 'manifold',
};
/** Questions that a figure answers with yes or no. */
const QUESTIONS: Readonly<Partial<Record<TraceFigureKind, string>>> = {
  swing: 'hunting',
  settle: 'hangs',
  'blip-lowest': 'after-blip',
};

/** What a figure says to the diagnosis; null where it says nothing, or it was taken already. */
export function offerOf(
  job: Job,
  knowledge: Knowledge | null,
  kind: TraceFigureKind,
  figures: RecordingKept['figures'],
): Offer | null {
  const figure = (of: TraceFigureKind) => figures.find((each) => each.kind === of);
  const value = (of: TraceFigureKind): number | undefined => figure(of)?.value;
  const own = value(kind);
  const knows = (sign: string): boolean => knowledge?.signs.some(({ id }) => id === sign) ?? false;
  if (own === undefined) return null;
  // Speed that hunts, or stands elsewhere, does not come down slowly: that is another sign.
  if (kind === 'settle' && (figure(kind)?.atLeast === true || (value('swing') ?? 0) > 0)) return null;
  const question = QUESTIONS[kind];
  if (question !== undefined && knows(question)) {
    const good = figureGood(job, kind, own);
    const outcome = good === null ? null : good ? 'no' : 'yes';
    const known = job.signs.find(({ sign }) => sign === question)?.outcome;
    return outcome === null || known === outcome ? null : { how: 'answer', sign: question, outcome };
  }
  const done = (sign: string): boolean => job.checks.some(({ check, when }) => check === sign && when === 'before');
  if (kind === 'trim-idle' && knows('trims') && !done('trims')) {
    const held = value('trim-held');
    return held === undefined ? null : { how: 'check', sign: 'trims', typed: [own.toFixed(1), held.toFixed(1)] };
  }
  const check = CHECKS[kind];
  return check === undefined || !knows(check) || done(check)
    ? null
    : { how: 'check', sign: check, typed: [String(Math.round(own * 100) / 100)] };
}
