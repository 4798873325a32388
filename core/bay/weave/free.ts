import type { Span } from './problem.ts';

/** What somebody or something is taken for, rising and apart. */
export type Taken = readonly Span[];

/** Puts a span among those that are taken. */
export function take(taken: Taken, span: Span): Span[] {
  const at = taken.findIndex(({ from }) => from >= span.to);
  return at < 0 ? [...taken, span] : [...taken.slice(0, at), span, ...taken.slice(at)];
}

/** Takes a span out again. */
export const release = (taken: Taken, { from, to }: Span): Span[] =>
  taken.filter((each) => each.from !== from || each.to !== to);

/** Whether so much in one go lies within some hours and touches nothing that is taken. */
export const isFree = (hours: readonly Span[], taken: readonly Taken[], span: Span): boolean =>
  hours.some(({ from, to }) => from <= span.from && span.to <= to) && clashing(taken, span.from, span.to) === null;

/**
 * The earliest start from which so many minutes in one go lie within some hours and touch nothing that is taken.
 * @returns null where there is no such place
 */
export function earliest(
  hours: readonly Span[],
  taken: readonly Taken[],
  from: number,
  minutes: number,
): number | null {
  for (const span of hours) {
    let start = Math.max(span.from, from);
    while (start + minutes <= span.to) {
      const clash = clashing(taken, start, start + minutes);
      if (clash === null) return start;
      start = clash.to;
    }
  }
  return null;
}

function clashing(taken: readonly Taken[], from: number, to: number): Span | null {
  for (const each of taken)
    for (const span of each) {
      if (span.from >= to) break;
      if (span.to > from) return span;
    }
  return null;
}
