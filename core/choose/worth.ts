import {
  type Access,
  ACCESS,
  type CauseModel,
  type Finding,
  nextCheck,
  type Proposal,
  type Sign,
} from '../diagnose/index.ts';
import { bestFor, type Found, type Problem, problemOf } from './search.ts';
import type { Believed, ChooseInput } from './types.ts';
import { notWorthOf, waysOf } from './ways.ts';

/** What a check is worth. */
export interface CheckWorth {
  readonly proposal: Proposal;
  /** Expected saving in the plan, less its own price; minor units. */
  readonly worthMinor: number;
  /** Expected saving before its price. */
  readonly savesMinor: number;
  /** Answers after which another step comes first, by outcome. */
  readonly turns: readonly { readonly outcome: string; readonly way: string }[];
  /** The check behind the door that this one opens, when that is what it is worth. */
  readonly opens: string | null;
}

/** What the worth of checks is worked out from. */
export interface WorthInput {
  readonly choose: ChooseInput;
  readonly causes: readonly CauseModel[];
  readonly findings: readonly Finding[];
  readonly checks: readonly Sign[];
  readonly minutePrice: number;
  readonly reached: readonly Access[];
  readonly passedOver: readonly string[];
}

/** Checks that open a door are looked behind for so many of the best. */
const DOORS = 6;

/**
 * Checks by what each is expected to save in the plan (expected value of sample information, Raiffa & Schlaifer 1961):
 * for every answer the best plan is found anew, and what it costs per distance, times its chance, is set against the
 * best plan of now, over the distance that one lasts. One step ahead; two where the first opens a door. Best first;
 * empty when nothing can be planned.
 */
export function worthOfChecks(input: WorthInput): CheckWorth[] {
  const { choose, causes, findings, checks, minutePrice, reached, passedOver } = input;
  const single = { ...choose, belief: choose.belief.filter((one) => one.with === undefined) };
  const ways = waysOf(single);
  const not = notWorthOf(ways, single).filter(({ why }) => why !== 'no chance');
  const problem = problemOf(
    single,
    ways.filter((way) => !not.some((other) => other.way === way)),
  );
  const now = bestFor(problem);
  if (now === null) return [];
  /** The slot of every cause of the ranking. */
  const order = causes.map(({ id }) =>
    problem.slots.of.indexOf(single.belief.findIndex((one) => believedId(one) === id)),
  );
  const proposals = nextCheck(causes, findings, checks, { minutePrice, reached, passedOver });
  const value = (proposal: Proposal): { saves: number; turns: CheckWorth['turns'] } =>
    savingOf(problem, now, proposal, order);
  const worths = proposals.map((proposal): CheckWorth => {
    const { saves, turns } = value(proposal);
    return { proposal, savesMinor: saves, worthMinor: saves - proposal.costMinor, turns, opens: null };
  });
  return behindDoors(worths, reached, minutePrice).sort((a, b) => b.worthMinor - a.worthMinor);
}

const believedId = ({ cause, unit }: Believed): string => (unit ? `${cause}@${unit.kind}:${unit.place}` : cause);

function savingOf(
  problem: Problem,
  now: Found,
  { previews }: Proposal,
  order: readonly number[],
): { saves: number; turns: CheckWorth['turns'] } {
  let expected = 0;
  const turns: { outcome: string; way: string }[] = [];
  for (const { outcome, chance, shares: after } of previews) {
    const shares = new Float64Array(problem.slots.shares.length);
    for (const [index, share] of after.entries()) {
      const slot = order[index] ?? -1;
      if (slot >= 0) shares[slot] = share;
    }
    const then = bestFor(problem, shares);
    expected += chance * (then?.perUse ?? now.perUse);
    const first = problem.ways[then?.ways[0] ?? -1]?.way.id;
    if (then !== null && first !== undefined && then.ways[0] !== now.ways[0]) turns.push({ outcome, way: first });
  }
  return { saves: Math.max(0, ((now.perUse - expected) * now.life) / problem.per), turns };
}

/**
 * A check that opens a door (duct off, unit off) is worth what lies behind it too: the best check that needs the same
 * door then costs so much less.
 */
function behindDoors(worths: readonly CheckWorth[], reached: readonly Access[], minutePrice: number): CheckWorth[] {
  return worths.map((one) => {
    const doors = (one.proposal.sign.method?.leaves ?? []).filter((access) => !reached.includes(access));
    if (doors.length === 0) return one;
    const behind = worths
      .filter((other) => other !== one && other.proposal.reach.some((access) => doors.includes(access)))
      .slice(0, DOORS * 4)
      .map((other) => {
        const saved = other.proposal.reach
          .filter((access) => doors.includes(access))
          .reduce((sum, access) => sum + ACCESS[access].minutes * minutePrice, 0);
        return { other, net: other.savesMinor - (other.proposal.costMinor - saved) };
      })
      .sort((a, b) => b.net - a.net)[0];
    // What both save is not more than the better of the two and half of the other: they see the same things.
    return behind === undefined || behind.net <= 0
      ? one
      : { ...one, worthMinor: one.worthMinor + behind.net / 2, opens: behind.other.proposal.sign.id };
  });
}
