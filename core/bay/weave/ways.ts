import { type Block, stretchKey, type WeaveProblem } from './problem.ts';

/** A way of laying the day: the order, and who does what where that is not left to whoever is done first. */
export interface Way {
  readonly order: readonly string[];
  readonly hands: ReadonlyMap<string, string>;
  /** Whether nothing begins sooner than it did in the plan before. */
  readonly holds: boolean;
}

/** The way that a plan was laid in: what begins first is laid first, by whoever does it. */
export function wayOf(blocks: readonly Block[]): Way {
  const inHand = blocks.flatMap((block) => (block.person === null ? [] : [{ ...block, person: block.person }]));
  return {
    order: inHand.toSorted((a, b) => a.start - b.start || a.end - b.end).map(({ job }) => job),
    hands: new Map(inHand.map(({ job, stretch, person }) => [stretchKey(job, stretch), person])),
    holds: false,
  };
}

/** Ways that begin from the plan before: as it was, nothing sooner, and with what has changed laid round the rest. */
export function asBefore({ before, jobs }: WeaveProblem): Way[] {
  if (before === undefined || before.length === 0) return [];
  const way = wayOf(before);
  const then = new Map(before.map((block) => [stretchKey(block.job, block.stretch), block]));
  const touched = new Set(
    jobs.flatMap(({ id, stretches }) =>
      stretches.some((stretch) => {
        const old = then.get(stretchKey(id, stretch.id));
        const from = stretch.kind === 'hands' ? (stretch.from ?? 0) : 0;
        return old === undefined || Math.abs(old.end - old.start - stretch.minutes) > 1 || old.start < from;
      })
        ? [id]
        : [],
    ),
  );
  const last = [...way.order.filter((id) => !touched.has(id)), ...way.order.filter((id) => touched.has(id))];
  return [way, { ...way, holds: true }, { ...way, order: last, holds: true }];
}

/** Plain orders to begin from; the first is one vehicle after the other. */
export function ordersOf({ jobs, now }: WeaveProblem): string[][] {
  const left = (id: string): number =>
    jobs.find((job) => job.id === id)?.stretches.reduce((sum, { minutes }) => sum + minutes, 0) ?? 0;
  const inHand = jobs.map(({ id, stretches }) => ({
    id,
    times: stretches.filter(({ kind }) => kind === 'hands').length,
  }));
  const whole = (ids: readonly string[]): string[] =>
    ids.flatMap((id) => Array.from({ length: inHand.find((each) => each.id === id)?.times ?? 0 }, () => id));
  // What waits days for a part would hold a bay against all the others: it is laid last.
  const waits = new Set(jobs.flatMap((job) => (job.inside !== true && firstInside(job) > now + NIGHT ? [job.id] : [])));
  const last = (some: readonly string[]): string[] => [
    ...some.filter((id) => !waits.has(id)),
    ...some.filter((id) => waits.has(id)),
  ];
  const ids = jobs.map(({ id }) => id);
  const byPromise = jobs
    .toSorted((a, b) => (a.promised ?? Infinity) - (b.promised ?? Infinity) || b.weight - a.weight)
    .map(({ id }) => id);
  const longestFirst = ids.toSorted((a, b) => left(b) - left(a));
  const shortestFirst = ids.toSorted((a, b) => left(a) - left(b));
  return [byPromise, ids, longestFirst, shortestFirst].flatMap((order) => {
    const laid = whole(last(order));
    return [laid, inRounds(laid)];
  });
}

/** What begins after so many minutes begins on another day. */
const NIGHT = 600;
/** Before when a vehicle cannot come into a bay: its first stretch there waits for something. */
const firstInside = ({ stretches }: WeaveProblem['jobs'][number]): number =>
  stretches.reduce<number | null>(
    (from, stretch) => from ?? (stretch.kind === 'hands' && stretch.outside !== true ? (stretch.from ?? 0) : null),
    null,
  ) ?? 0;

/** A step of each in turn: waits of one are filled with the others from the beginning. */
function inRounds(order: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return order
    .map((id, at) => {
      const round = seen.get(id) ?? 0;
      seen.set(id, round + 1);
      return { id, round, at };
    })
    .toSorted((a, b) => a.round - b.round || a.at - b.at)
    .map(({ id }) => id);
}
