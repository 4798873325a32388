import { type Chances, chanceBy, chancesOf, doneBy } from '../weave/chances.ts';
import { type Clash, clashesOf, endOf, type WayOut, waysOut } from '../weave/clashes.ts';
import type { Block, NoPlace } from '../weave/problem.ts';
import { type WaitUsed, waitsUsed } from '../weave/uses.ts';
import { type Weave, weave } from '../weave/weave.ts';
import { asPlanned, dayProblem, type TimedStretch } from './problem.ts';
import type { DayInput, NotPlanned, PlannedBlock } from './types.ts';

/** When a vehicle is done by the plan, and how sure that is. */
export interface DayEnd {
  readonly jobId: string;
  /** ISO times. By the plan; */
  readonly end: string;
  /** by which it is done in eight days of ten, said in quarters of an hour; null where a day left no room for it; */
  readonly honest: string | null;
  /** and when it was promised. */
  readonly promised: string | null;
  /** How likely the promise holds, 0 to 1; null without one. */
  readonly holds: number | null;
}

/** A clash, and when it falls, ISO: the promise, or what was pinned. */
export interface DayClash {
  readonly clash: Clash;
  readonly at: string;
}

/** A way out of a clash: what is done, in instants, and the plan that comes of it. */
export interface DayWay {
  readonly does: WayOut['does'];
  /** Of what is moved, asked or stayed for: until when, ISO; null where there is no such time. */
  readonly until: string | null;
  readonly late: WayOut['late'];
  readonly blocks: readonly PlannedBlock[];
}

/** A day as it was woven. */
export interface WovenDay {
  readonly blocks: readonly PlannedBlock[];
  /** What is known of every stretch in it. */
  readonly stretches: readonly TimedStretch[];
  readonly ends: readonly DayEnd[];
  readonly clashes: readonly DayClash[];
  readonly noPlace: readonly NoPlace[];
  readonly notPlanned: readonly NotPlanned[];
  /** What was kept and lies elsewhere now. */
  readonly moved: readonly PlannedBlock[];
  /** Whether it is another plan than the one that is kept. */
  readonly changed: boolean;
  readonly uses: readonly WaitUsed[];
  readonly savedMinutes: number;
  /** What the plan costs over what no plan falls below, both in minutes as the shop pays them. */
  readonly cost: number;
  readonly bound: number;
}

/** How sure an honest promise is. */
export const HONEST = 0.8;
const QUARTER_MS = 15 * 60_000;
const MINUTE_MS = 60_000;

/** A day that was woven, and what can be done about its clashes: worked out when it is asked for, as it takes longer. */
export interface WeavingDay {
  readonly day: WovenDay;
  /** @param nth of the day’s clashes */
  readonly waysOf: (nth: number) => readonly DayWay[];
}

/** Weaves a day: the plan, what it keeps and what it breaks. */
export function weaveDay(input: DayInput, { seed = 1, tries }: { seed?: number; tries?: number } = {}): WeavingDay {
  const { problem, spreads, stretches, notPlanned, zero } = dayProblem(input);
  const woven = weave(problem, { seed, ...(tries !== undefined && { tries }) });
  const at = (minute: number): string => new Date(zero + minute * MINUTE_MS).toISOString();
  const chances = new Map(chancesOf(problem, woven.blocks, spreads, { seed }).map((each) => [each.job, each]));
  const lost = new Set(woven.noPlace.map(({ job }) => job));
  const uses = waitsUsed(woven.blocks);
  const clashes = clashesOf(problem, woven);
  const said = (way: WayOut): DayWay => ({
    does: way.does,
    // A promise is said in quarters of the clock on the wall, not of the minutes since now.
    until:
      'to' in way.does
        ? quarterAfter(zero + endOf(way.plan.blocks, way.does.job) * MINUTE_MS)
        : 'until' in way.does
          ? at(way.does.until)
          : null,
    late: way.late,
    blocks: asPlanned(way.plan.blocks, zero),
  });
  const day: WovenDay = {
    blocks: asPlanned(woven.blocks, zero),
    stretches: [...stretches.values()],
    ends: problem.jobs.flatMap(({ id, promised }): DayEnd[] => {
      const chance = chances.get(id);
      if (lost.has(id) || chance === undefined) return [];
      return [
        {
          jobId: id,
          end: at(endOf(woven.blocks, id)),
          honest: honestTime(chance, zero),
          promised: promised === null ? null : at(promised),
          holds: promised === null ? null : chanceBy(chance, promised),
        },
      ];
    }),
    clashes: clashes.map((clash) => ({
      clash,
      at: at(clash.kind === 'late' ? clash.promised : clash.kind === 'pushed' ? clash.pin : 0),
    })),
    noPlace: woven.noPlace,
    notPlanned,
    moved: asPlanned(woven.moved, zero),
    changed: isChanged(woven, problem.before ?? []),
    uses,
    savedMinutes: uses.reduce((sum, { minutes }) => sum + minutes, 0),
    cost: woven.cost.total,
    bound: woven.bound,
  };
  return {
    day,
    waysOf: (nth) => {
      const clash = clashes[nth];
      return clash === undefined ? [] : waysOut(problem, woven, clash, seed).map(said);
    },
  };
}

/** The quarter of an hour at or after a time, ISO. @param time ms since 1970 */
const quarterAfter = (time: number): string => new Date(Math.ceil(time / QUARTER_MS) * QUARTER_MS).toISOString();

/** The earliest quarter of an hour by which it is done in eight days of ten. */
function honestTime(chance: Chances, zero: number): string | null {
  const minute = doneBy(chance, HONEST);
  return Number.isFinite(minute) ? quarterAfter(zero + minute * MINUTE_MS) : null;
}

/** Whether a plan is worth keeping in the place of another: something moved, came or went. */
function isChanged({ blocks, moved }: Weave, before: readonly Block[]): boolean {
  const inHand = (some: readonly Block[]): Set<string> =>
    new Set(some.flatMap(({ job, stretch, kind }) => (kind === 'hands' ? [`${job}/${stretch}`] : [])));
  const now = inHand(blocks);
  const then = inHand(before);
  return moved.length > 0 || now.size !== then.size || [...now].some((key) => !then.has(key));
}
