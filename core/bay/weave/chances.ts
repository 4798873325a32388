import { random } from '../../chance/index.ts';
import { lay } from './lay.ts';
import { type Block, stretchKey, type WeaveProblem } from './problem.ts';
import { wayOf } from './ways.ts';

/** How much longer or shorter one piece of work takes than expected: the standard deviation of its logarithm. */
export type Spreads = ReadonlyMap<string, number>;

/** When a vehicle will be done, from many days that went otherwise than planned. */
export interface Chances {
  readonly job: string;
  /** Minutes of its end, rising; infinite where a day left no room for it. */
  readonly ends: readonly number[];
}

/** Days that are tried. */
export const SAMPLED_DAYS = 200;
/** Of somebody who is slow today everything takes longer: this part of the spread all of a vehicle's work has in common. */
const COMMON = 0.1;

/**
 * When each vehicle is done if work takes as long as it happens to: the plan kept in its order and hands, each piece of
 * work as long as a log-normal of its spread says (mean kept), on the same days for every vehicle.
 * @param spreads by {@link stretchKey}, zero or more; what is not in it takes what was said
 */
export function chancesOf(
  problem: WeaveProblem,
  blocks: readonly Block[],
  spreads: Spreads,
  { seed = 1, days = SAMPLED_DAYS }: { seed?: number; days?: number } = {},
): Chances[] {
  const { normal } = random(seed);
  const way = wayOf(blocks);
  const chosen = (job: string, stretch: string): string | undefined => way.hands.get(stretchKey(job, stretch));
  const ends = new Map(problem.jobs.map(({ id }) => [id, [] as number[]]));
  for (let day = 0; day < days; day += 1) {
    const jobs = problem.jobs.map((job) => {
      const common = COMMON * normal();
      return {
        ...job,
        stretches: job.stretches.map((stretch) => {
          const own = spreads.get(stretchKey(job.id, stretch.id)) ?? 0;
          if (stretch.kind === 'wait' || own === 0) return stretch;
          const sigma = Math.hypot(own, COMMON);
          const factor = Math.exp(own * normal() + common - (sigma * sigma) / 2);
          return { ...stretch, minutes: stretch.minutes * factor };
        }),
      };
    });
    const laid = lay({ ...problem, jobs }, way.order, { chosen });
    const lost = new Set(laid.noPlace.map(({ job }) => job));
    for (const [id, own] of ends)
      own.push(
        lost.has(id) ? Infinity : laid.blocks.reduce((last, b) => (b.job === id ? Math.max(last, b.end) : last), 0),
      );
  }
  return [...ends].map(([job, own]) => ({ job, ends: own.toSorted((a, b) => a - b) }));
}

/** In how many days of one a vehicle was done by then, 0 to 1. */
export const chanceBy = ({ ends }: Chances, minute: number): number =>
  ends.length === 0 ? 0 : ends.filter((end) => end <= minute).length / ends.length;

/** The earliest minute by which it was done in so many days of one; infinite where there is none. @param share 0 to 1 */
export const doneBy = ({ ends }: Chances, share: number): number =>
  ends[Math.min(ends.length - 1, Math.max(0, Math.ceil(share * ends.length) - 1))] ?? Infinity;
