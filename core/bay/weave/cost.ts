import { type Block, hasMoved, stretchKey, type WeaveProblem } from './problem.ts';

/** What a plan costs, in the minutes that the shop would pay for it. */
export interface PlanCost {
  readonly total: number;
  /** Minutes late, each as its job weighs it. */
  readonly late: number;
  /** Minutes in which somebody who has begun stands between two blocks. */
  readonly idle: number;
  /** Times that somebody goes from one vehicle to another. */
  readonly hops: number;
  /** Times that a vehicle goes from one pair of hands to another. */
  readonly handed: number;
  /** Minutes from now to the end of each vehicle, added up. */
  readonly stay: number;
  /** Stretches that lie elsewhere than in the plan before, or with somebody else. */
  readonly moved: number;
  /** Stretches that somebody has pinned and that begin later. */
  readonly pushed: number;
}

/** What one of each costs beside a minute late of weight 1. */
export const COSTS = { idle: 0.05, hop: 2, hand: 4, stay: 0.02, move: 8, push: 60 } as const;

/** The cost of what was laid. */
export function costOf({ jobs, people, now, before = [] }: WeaveProblem, blocks: readonly Block[]): PlanCost {
  let late = 0;
  let stay = 0;
  let pushed = 0;
  let handed = 0;
  for (const { id, promised, weight, stretches, last } of jobs) {
    let hands = last ?? null;
    for (const block of blocks) {
      if (block.job !== id || block.person === null) continue;
      if (hands !== null && hands !== block.person) handed += 1;
      hands = block.person;
    }
    for (const stretch of stretches)
      if (stretch.kind === 'hands' && stretch.pin !== undefined)
        pushed += blocks.some((b) => b.job === id && b.stretch === stretch.id && b.start !== stretch.pin) ? 1 : 0;
    const end = blocks.reduce((last, block) => (block.job === id ? Math.max(last, block.end) : last), now);
    stay += end - now;
    if (promised !== null) late += weight * Math.max(0, end - promised);
  }
  let idle = 0;
  let hops = 0;
  for (const person of people) {
    const own = blocks.filter((block) => block.person === person.id).toSorted((a, b) => a.start - b.start);
    for (const [at, block] of own.entries()) {
      const before = own[at - 1];
      if (before === undefined) continue;
      if (before.job !== block.job) hops += 1;
      idle += hereBetween(person.hours, before.end, block.start);
    }
  }
  const moved = movedFrom(before, blocks).length;
  const total =
    late +
    COSTS.idle * idle +
    COSTS.hop * hops +
    COSTS.hand * handed +
    COSTS.stay * stay +
    COSTS.move * moved +
    COSTS.push * pushed;
  return { total, late, idle, hops, handed, stay, moved, pushed };
}

/** Stretches in hand of two plans that lie elsewhere in the later one, as they lie there. */
export function movedFrom(before: readonly Block[], after: readonly Block[]): Block[] {
  if (before.length === 0) return [];
  const then = new Map(before.map((block) => [stretchKey(block.job, block.stretch), block]));
  return after.filter((block) => {
    const old = then.get(stretchKey(block.job, block.stretch));
    return block.kind === 'hands' && old !== undefined && hasMoved(old, block);
  });
}

/** Minutes between two moments in which somebody is here. */
const hereBetween = (hours: WeaveProblem['people'][number]['hours'], from: number, to: number): number =>
  hours.reduce((sum, span) => sum + Math.max(0, Math.min(span.to, to) - Math.max(span.from, from)), 0);
