import type { Span } from './problem.ts';

/** What is left of a span when a gap is cut out of it: two, one or none. */
export const without = ({ from, to }: Span, gap: Span): Span[] =>
  [
    { from, to: Math.min(to, gap.from) },
    { from: Math.max(from, gap.to), to },
  ].filter((span) => span.from < span.to);
