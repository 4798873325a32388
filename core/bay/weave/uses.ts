import type { Block, Span } from './problem.ts';
import { without } from './spans.ts';

/** Minutes of a wait in which whoever would have stood by it worked on another vehicle. */
export interface WaitUsed {
  /** The wait. */
  readonly job: string;
  readonly stretch: string;
  readonly person: string;
  /** The work that was laid into it. */
  readonly otherJob: string;
  readonly otherStretch: string;
  readonly minutes: number;
}

/**
 * What the waits of a plan are used for. Against working one vehicle after the other these are the minutes that are
 * saved: each of them lies in one wait, of the vehicle that its person worked on before it, or goes on with after it. A
 * minute that falls into two waits is counted for the one that began first.
 */
export function waitsUsed(blocks: readonly Block[]): WaitUsed[] {
  const claimed = new Map<string, Span[]>();
  return blocks
    .filter(({ kind }) => kind === 'wait')
    .toSorted((a, b) => a.start - b.start || a.end - b.end)
    .flatMap((wait) => {
      const own = blocks.filter(({ job, person }) => job === wait.job && person !== null);
      const person =
        own.findLast(({ end }) => end <= wait.start)?.person ?? own.find(({ start }) => start >= wait.end)?.person;
      if (person == null) return [];
      return blocks
        .filter((other) => other.person === person && other.job !== wait.job)
        .flatMap((other): WaitUsed[] => {
          const from = Math.max(wait.start, other.start);
          const to = Math.min(wait.end, other.end);
          const minutes = claim(claimed, person, from, to);
          return minutes > 0
            ? [
                {
                  job: wait.job,
                  stretch: wait.stretch,
                  person,
                  otherJob: other.job,
                  otherStretch: other.stretch,
                  minutes,
                },
              ]
            : [];
        });
    });
}

/** Takes what nobody has claimed yet of a person's time. @returns how many minutes of it were still free */
function claim(claimed: Map<string, Span[]>, person: string, from: number, to: number): number {
  if (to <= from) return 0;
  const had = claimed.get(person) ?? [];
  const free = had.reduce<Span[]>((left, gone) => left.flatMap((span) => without(span, gone)), [{ from, to }]);
  claimed.set(person, [...had, ...free]);
  return free.reduce((sum, span) => sum + span.to - span.from, 0);
}
