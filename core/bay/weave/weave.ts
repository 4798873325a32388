import { random } from '../../chance/index.ts';
import { costOf, movedFrom, type PlanCost } from './cost.ts';
import { boundOf } from './bound.ts';
import { lay, type Laid } from './lay.ts';
import { asBefore, ordersOf, type Way } from './ways.ts';
import { type Block, type NoPlace, type PushedPin, stretchKey, type WeaveProblem } from './problem.ts';

/** A day, woven. */
export interface Weave {
  readonly blocks: readonly Block[];
  /** Vehicles that cannot be planned, each with why. */
  readonly noPlace: readonly NoPlace[];
  /** Pins that could not be kept. */
  readonly pushed: readonly PushedPin[];
  /** Stretches that lie elsewhere than in the plan before, or with somebody else. */
  readonly moved: readonly Block[];
  readonly cost: PlanCost;
  /** No plan costs less than this. */
  readonly bound: number;
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
  const begun = new Map((problem.before ?? []).map(({ job, stretch, start }) => [stretchKey(job, stretch), start]));
  const judge = (way: Way): Judged => {
    const laid = lay(problem, way.order, {
      chosen: (job, stretch) => way.hands.get(stretchKey(job, stretch)),
      ...(way.holds && { begun: (job, stretch) => begun.get(stretchKey(job, stretch)) }),
    });
    return { way, laid, cost: costOf(problem, laid.blocks) };
  };
  const plain = [
    ...asBefore(problem),
    ...ordersOf(problem).map((order) => ({ order, hands: new Map<string, string>(), holds: false })),
  ].map(judge);
  let best = plain.reduce((a, b) => (better(b, a) ? b : a));
  let now = best;
  const choices = choicesOf(problem);
  for (let nth = 0; nth < tries && choices.length > 0; nth += 1) {
    const next = uniform() < MOVES_HANDS ? handed(now.way, choices, uniform) : moved(now.way, uniform);
    const way = begun.size > 0 && uniform() < LETS_GO ? { ...next, holds: !next.holds } : next;
    const tried = judge(way);
    const warmth = WARMTH * best.cost.total * (1 - nth / tries);
    if (!better(now, tried) || isTaken(tried, now, warmth, uniform)) now = tried;
    if (better(now, best)) best = now;
  }
  return {
    blocks: best.laid.blocks.toSorted((a, b) => a.start - b.start || a.end - b.end),
    noPlace: best.laid.noPlace.toSorted((a, b) => placeOf(problem, a.job) - placeOf(problem, b.job)),
    pushed: best.laid.pushed,
    moved: movedFrom(problem.before ?? [], best.laid.blocks),
    cost: best.cost,
    bound: boundOf(problem),
  };
}

/** At the beginning a plan that costs this share more is taken now and then. */
const WARMTH = 0.06;
/** A dearer way is gone on with now and then, less and less (Kirkpatrick and others 1983): a better one may lie behind it. */
const isTaken = (tried: Judged, now: Judged, warmth: number, uniform: () => number): boolean =>
  tried.laid.noPlace.length <= now.laid.noPlace.length &&
  warmth > 0 &&
  uniform() < Math.exp((now.cost.total - tried.cost.total) / warmth);

/** So often a plan is laid as it was before where it is laid anew, and the other way round. */
const LETS_GO = 0.1;
/** So often another pair of hands is tried, else another order. */
const MOVES_HANDS = 0.4;

interface Judged {
  readonly way: Way;
  readonly laid: Laid;
  readonly cost: PlanCost;
}

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
      if (stretch.kind === 'wait' || stretch.given !== undefined) return [];
      const able = people.flatMap(({ id, skills }) =>
        stretch.skill === undefined || skills.includes(stretch.skill) ? [id] : [],
      );
      return [{ job: job.id, key: stretchKey(job.id, stretch.id), able }];
    }),
  );

/** Somebody else is asked for one stretch, or for all of a vehicle from there on; or whoever is done first again. */
function handed(way: Way, choices: readonly Choice[], uniform: () => number): Way {
  const at = Math.floor(uniform() * choices.length);
  const choice = choices[at];
  if (choice === undefined) return way;
  const next = new Map(way.hands);
  const person = choice.able[Math.floor(uniform() * (choice.able.length + 1))];
  const whole = uniform() < HANDS_WHOLE;
  for (const each of whole ? choices.slice(at).filter(({ job }) => job === choice.job) : [choice]) {
    if (person === undefined || !each.able.includes(person)) next.delete(each.key);
    else next.set(each.key, person);
  }
  return { ...way, hands: next };
}
/** So often all that is left of a vehicle changes hands, not one stretch. */
const HANDS_WHOLE = 0.5;

/** One step taken out and put in elsewhere. */
function moved(way: Way, uniform: () => number): Way {
  const next = [...way.order];
  const [taken] = next.splice(Math.floor(uniform() * next.length), 1);
  if (taken !== undefined) next.splice(Math.floor(uniform() * (next.length + 1)), 0, taken);
  return { ...way, order: next };
}
