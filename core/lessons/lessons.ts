import { tells } from './falseDiscovery.ts';
import type { Look } from './look.ts';
import { onset, type Onset } from './onset.ts';
import { chanceOfAtLeast, type Count, expectedShare } from './tails.ts';

/** Fewer bad ones are no lesson, whatever the sums say. */
export const LEAST_BAD = 3;
/** So many were looked at elsewhere before anything is expected. */
export const LEAST_ELSEWHERE = 3;
/** Of the lessons told, at most such a share is chance on average: half of it for how often, half for how old. */
export const FALSE_SHARE = 0.1;

/** Something that is found again and again on one family: oftener than elsewhere, or from some reading on. */
export interface Lesson {
  readonly id: string;
  readonly familyId: string;
  readonly form: Look['form'];
  readonly thing: string;
  /** Vehicles of the family; each counts once, by its last look. */
  readonly here: Count;
  /** Vehicles of all others with the same kind of unit. */
  readonly elsewhere: Count;
  /** Share that those lead one to expect, 0 to 1. */
  readonly expected: number;
  /** Whether it is told as being found oftener than elsewhere; and by what chance that would come of itself. */
  readonly oftener: boolean;
  readonly p: number;
  /** From which reading on it is found; null where age does not tell. */
  readonly from: Onset | null;
  readonly hours: boolean;
  /** The looks of the family, by meter: what is drawn. */
  readonly looks: readonly Look[];
}

/**
 * Lessons of a shop out of all its looks, the surest first: findings of a family held against the same finding on all
 * others, and against the age of the vehicle; those are told that hold when so many are asked (see {@link tells}).
 * @param looks in the order of their jobs
 */
export function lessonsOf(looks: readonly Look[]): Lesson[] {
  const asked = candidates(looks);
  const often = telling(asked, ({ elsewhere, p }) => (elsewhere.n < LEAST_ELSEWHERE ? null : p));
  const aged = telling(asked, ({ from }) => from?.p ?? null);
  return asked
    .map((lesson) => ({
      ...lesson,
      oftener: often.has(lesson) && lesson.here.k / lesson.here.n > lesson.expected,
      from: aged.has(lesson) && lesson.from?.half != null ? lesson.from : null,
    }))
    .filter(({ here, oftener, from }) => here.k >= LEAST_BAD && (oftener || from !== null))
    .toSorted((a, b) => Math.min(a.p, a.from?.p ?? 1) - Math.min(b.p, b.from?.p ?? 1) || a.id.localeCompare(b.id));
}

/** Those that tell, of all that could be asked. @param chance null where there is nothing to ask */
function telling(asked: readonly Lesson[], chance: (lesson: Lesson) => number | null): ReadonlySet<Lesson> {
  const able = asked.flatMap((lesson) => {
    const p = chance(lesson);
    return p === null ? [] : [{ lesson, p }];
  });
  const told = tells(
    able.map(({ p }) => p),
    FALSE_SHARE / 2,
  );
  return new Set(able.filter((_, nth) => told[nth]).map(({ lesson }) => lesson));
}

/** Every finding of a family of which enough vehicles were looked at; those that came out good are among what was asked. */
function candidates(looks: readonly Look[]): Lesson[] {
  const things = new Map<string, Look[]>();
  for (const look of lastOfEach(looks)) {
    const key = `${look.form}:${look.thing}`;
    const known = things.get(key);
    if (known === undefined) things.set(key, [look]);
    else known.push(look);
  }
  return [...things.values()].flatMap((same) => {
    const families = new Set(same.map(({ familyId }) => familyId).filter(Boolean));
    return [...families].flatMap((familyId): Lesson[] => {
      const own = same.filter((look) => look.familyId === familyId);
      const here = count(own);
      if (here.n < LEAST_BAD) return [];
      const [{ form, thing, hours }] = own as [Look];
      const elsewhere = count(same.filter((look) => look.familyId !== familyId));
      return [
        {
          id: [familyId, form, thing].join(':'),
          familyId,
          form,
          thing,
          here,
          elsewhere,
          expected: expectedShare(elsewhere),
          oftener: false,
          p: elsewhere.n < LEAST_ELSEWHERE ? 1 : chanceOfAtLeast(here.k, here.n, elsewhere),
          from: onset(own.filter((look) => look.hours === hours)),
          hours,
          looks: own.toSorted((a, b) => a.meter - b.meter),
        },
      ];
    });
  });
}

/** The last look at each thing of each vehicle: one that comes every month is no proof of a family. */
function lastOfEach(looks: readonly Look[]): Look[] {
  const last = new Map<string, Look>();
  for (const look of looks) last.set(`${look.vehicleId}:${look.form}:${look.thing}`, look);
  return [...last.values()];
}

const count = (looks: readonly Look[]): Count => ({ k: looks.filter(({ bad }) => bad).length, n: looks.length });
