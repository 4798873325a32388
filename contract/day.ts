import { z } from 'zod';
import {
  type Absence,
  type LongerDay,
  type PlannedBlock,
  SKILLS,
  type Skill,
  type StagePace,
  type Wish,
} from '../core/bay/index.ts';
import type { DayJob } from '../core/bay/index.ts';
import type { Stage } from '../core/job/index.ts';
import type { Hours } from '../core/prepare/index.ts';
import { id, isoDay, isoTime, keysOf, line } from './primitives.ts';

/** Opening and closing on one day, minutes since midnight. */
export const hoursOfDay = z
  .strictObject({ from: z.number().int().min(0).max(1440), to: z.number().int().min(0).max(1440) })
  .refine(({ from, to }) => from < to, { error: 'Expected to end after it begins.', path: ['to'] });
/** A week of hours, Monday first; null for a day off. */
export const weekOfHours = z.array(hoursOfDay.nullable()).length(7, 'Expected seven days.');
/** Kinds of work that somebody does. */
export const skills = z.array(z.enum(keysOf(SKILLS))).max(Object.keys(SKILLS).length);

/** A day or half a day on which somebody is away; of everybody where nobody is named. */
export const absenceInput = z
  .strictObject({
    personId: id.nullable(),
    from: isoDay,
    to: isoDay,
    part: z.enum(['day', 'morning', 'afternoon']),
    why: line.trim(),
  })
  .refine(({ from, to }) => from <= to, { error: 'Expected the last day to come after the first.', path: ['to'] });
/** The type of {@link absenceInput}. */
export type AbsenceInput = z.infer<typeof absenceInput>;

/** What is said of a stretch of the plan; neither a time nor a person takes back what was said. */
export const wishInput = z.strictObject({
  jobId: id,
  stretch: id,
  at: isoTime.nullable(),
  personId: id.nullable(),
}) satisfies z.ZodType<Wish>;

/** Somebody stays until a minute of a day; null for as long as usual. */
export const longerInput = z.strictObject({
  personId: id,
  day: isoDay,
  until: z.number().int().min(1, 'Expected a time of the day.').max(1440, 'Expected a time of the day.').nullable(),
});

/** A plan that takes the place of the one that was seen. */
export const planInput = z.strictObject({
  /** The version of the plan that it was woven after; 0 for none. */
  seen: z.number().int().min(0),
  blocks: z
    .array(
      z.strictObject({
        jobId: id,
        stretch: id,
        kind: z.enum(['hands', 'wait']),
        from: isoTime,
        to: isoTime,
        personId: id.nullable(),
      }),
    )
    .max(5000),
});

/** How the shop's day is made. */
export const dayFigures = z.strictObject({
  bays: z
    .number('Expected a number of vehicles.')
    .int('Expected whole vehicles.')
    .min(1, 'Expected 1 to 50 vehicles inside.')
    .max(50, 'Expected 1 to 50 vehicles inside.'),
  pause: hoursOfDay.nullable(),
});
/** The type of {@link dayFigures}. */
export type DayFigures = z.infer<typeof dayFigures>;

/** The plan that is kept. */
export interface KeptPlan {
  readonly version: number;
  readonly madeAt: string;
  readonly by: string;
  readonly blocks: readonly PlannedBlock[];
}

/** Work that was done today, on an open job or one that was handed over today. */
export interface DoneStretch {
  readonly jobId: string;
  readonly plate: string;
  readonly personId: string;
  readonly stage: Stage;
  readonly from: string;
  readonly to: string;
}

/** Everything that the day is woven from but what the shop says of itself; see `GET /api/shop`. */
export interface DayReply extends DayFigures {
  readonly now: string;
  readonly jobs: readonly (DayJob & {
    readonly promisedTold: string | null;
  })[];
  readonly people: readonly {
    readonly id: string;
    readonly does: readonly Skill[];
    readonly hours: readonly (Hours | null)[] | null;
  }[];
  readonly absences: readonly Absence[];
  readonly longer: readonly LongerDay[];
  readonly wishes: readonly Wish[];
  readonly pace: readonly StagePace[];
  readonly plan: KeptPlan | null;
  readonly done: readonly DoneStretch[];
}
