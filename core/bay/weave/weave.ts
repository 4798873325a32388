import { random } from '../../chance/index.ts';
import { costOf, type PlanCost } from './cost.ts';
import { boundOf } from './bound.ts';
import { lay, type Laid } from './lay.ts';
import type { Block, NoPlace, WeaveProblem } from './problem.ts';

/** A day, woven. */
export interface Weave {
  readonly blocks: readonly Block[];
  /** Vehicles that cannot be planned, each with why. */
  readonly noPlace: readonly NoPlace[];
  readonly cost: PlanCost;
  /** No plan costs less than this. */
  readonly bound: number;
  /** Minutes that the last vehicle is done sooner than by working one vehicle after the other. */
  readonly saved: number;
}

/** Orders that are tried. */
const TRIES = 500;

/**
 * Weaves the day: the work on several vehicles laid into each other's waits. Starts from plain orders (by promise, by what is
 * left, one after the other), and moves single steps about as long as that makes it cheaper; the same seed, the same day.
 * @param tries orders that are tried beside the plain ones
 */
export function weave(
  problem: WeaveProblem,
  { seed = 1, tries = TRIES }: { seed?: number; tries?: number } = {},
): Weave {
  const { uniform } = random(seed);
  const judge = (way: Way): Judged => {
    const laid = lay(problem, way.order, (job, stretch) => way.hands.get(keyOf(job, stretch)));
    return { way, laid, cost: costOf(problem, laid.blocks) };
  };
  const plain = ordersOf(problem).map((order) => judge({ order, hands: new Map() }));
  let best = plain.reduce((a, b) => (better(b, a) ? b : a));
  let now = best;
  const choices = choicesOf(problem);
  for (let nth = 0; nth < tries && choices.length > 0; nth += 1) {
    const way = uniform() < MOVES_HANDS ? handed(now.way, choices, uniform) : moved(now.way, uniform);
    const tried = judge(way);
    const warmth = WARMTH * best.cost.total * (1 - nth / tries);
    if (!better(now, tried) || isTaken(tried, now, warmth, uniform)) now = tried;
    if (better(now, best)) best = now;
  }
  return {
    blocks: best.laid.blocks.toSorted((a, b) => a.start - b.start || a.end - b.end),
    noPlace: best.laid.noPlace.toSorted((a, b) => placeOf(problem, a.job) - placeOf(problem, b.job)),
    cost: best.cost,
    bound: boundOf(problem),
    saved: endOf(oneAfterTheOther(problem)) - endOf(best.laid.blocks),
  };
}

/** At the beginning a plan that costs this share more is taken now and then. */
const WARMTH = 0.06;
/** A dearer way is gone on with now and then, less and less (Kirkpatrick and others 1983): a better one may lie behind it. */
const isTaken = (tried: Judged, now: Judged, warmth: number, uniform: () => number): boolean =>
  tried.laid.noPlace.length <= now.laid.noPlace.length &&
  warmth > 0 &&
  uniform() < Math.exp((now.cost.total - tried.cost.total) / warmth);

/** So often another pair of hands is tried, else another order. */
const MOVES_HANDS = 0.4;

/** A way of laying the day: the order, and who does what where that is not left to whoever is done first. */
interface Way {
  readonly order: readonly string[];
  readonly hands: ReadonlyMap<string, string>;
}
interface Judged {
  readonly way: Way;
  readonly laid: Laid;
  readonly cost: PlanCost;
}

const keyOf = (job: string, stretch: string): string => `${job}/${stretch}`;
const placeOf = ({ jobs }: WeaveProblem, id: string): number => jobs.findIndex((job) => job.id === id);

/** What finds a place for more vehicles is better whatever it costs. */
const better = (a: Judged, b: Judged): boolean =>
  a.laid.noPlace.length < b.laid.noPlace.length ||
  (a.laid.noPlace.length === b.laid.noPlace.length && a.cost.total < b.cost.total - 1e-9);

interface Choice {
  readonly job: string;
  readonly key: string;
  readonly able: readonly string[];
}

/** Who can do each stretch in hand. */
const choicesOf = ({ jobs, people }: WeaveProblem): Choice[] =>
  jobs.flatMap((job) =>
    job.stretches.flatMap((stretch) => {
      if (stretch.kind === 'wait') return [];
      const able = people.flatMap(({ id, skills }) =>
        stretch.skill === undefined || skills.includes(stretch.skill) ? [id] : [],
      );
      return [{ job: job.id, key: keyOf(job.id, stretch.id), able }];
    }),
  );

/** Somebody else is asked for one stretch, or for all of a vehicle from there on; or whoever is done first again. */
function handed({ order, hands }: Way, choices: readonly Choice[], uniform: () => number): Way {
  const at = Math.floor(uniform() * choices.length);
  const choice = choices[at];
  if (choice === undefined) return { order, hands };
  const next = new Map(hands);
  const person = choice.able[Math.floor(uniform() * (choice.able.length + 1))];
  const whole = uniform() < HANDS_WHOLE;
  for (const each of whole ? choices.slice(at).filter(({ job }) => job === choice.job) : [choice]) {
    if (person === undefined || !each.able.includes(person)) next.delete(each.key);
    else next.set(each.key, person);
  }
  return { order, hands: next };
}
/** So often all that is left of a vehicle changes hands, not one stretch. */
const HANDS_WHOLE = 0.5;

/** Plain orders to begin from; the first is one vehicle after the other. */
function ordersOf({ jobs }: WeaveProblem): string[][] {
  const left = (id: string): number =>
    jobs.find((job) => job.id === id)?.stretches.reduce((sum, { minutes }) => sum + minutes, 0) ?? 0;
  const inHand = jobs.map(({ id, stretches }) => ({
    id,
    times: stretches.filter(({ kind }) => kind === 'hands').length,
  }));
  const whole = (ids: readonly string[]): string[] =>
    ids.flatMap((id) => Array.from({ length: inHand.find((each) => each.id === id)?.times ?? 0 }, () => id));
  const ids = jobs.map(({ id }) => id);
  const byPromise = jobs
    .toSorted((a, b) => (a.promised ?? Infinity) - (b.promised ?? Infinity) || b.weight - a.weight)
    .map(({ id }) => id);
  const longestFirst = ids.toSorted((a, b) => left(b) - left(a));
  const shortestFirst = ids.toSorted((a, b) => left(a) - left(b));
  return [byPromise, ids, longestFirst, shortestFirst].flatMap((order) => [whole(order), inRounds(whole(order))]);
}

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

/** One step taken out and put in elsewhere. */
function moved({ order, hands }: Way, uniform: () => number): Way {
  const next = [...order];
  const [taken] = next.splice(Math.floor(uniform() * next.length), 1);
  if (taken !== undefined) next.splice(Math.floor(uniform() * (next.length + 1)), 0, taken);
  return { order: next, hands };
}

const endOf = (blocks: readonly Block[]): number => blocks.reduce((last, { end }) => Math.max(last, end), 0);

/** As if nobody did anything while a vehicle waits: each is begun when the one before it is done. */
function oneAfterTheOther(problem: WeaveProblem): Block[] {
  let now = problem.now;
  return problem.jobs.flatMap((job) => {
    const { blocks } = lay({ ...problem, jobs: [job], now }, []);
    now = Math.max(now, endOf(blocks));
    return blocks;
  });
}
