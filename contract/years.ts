import { z } from 'zod';
import { type DueOn, FOLLOW_UP_ANSWERS, type RepairLife } from '../core/visits/index.ts';
import { isoDay, keysOf, line, number } from './primitives.ts';

/** What was said of a vehicle that is due. */
export const dueAnswerInput = z
  .strictObject({
    /** `told`: the customer was written to; null takes back what was said. */
    answer: z.enum(['put-off', 'not-wanted', 'told']).nullable(),
    until: isoDay.nullable(),
    note: line.trim(),
  })
  .refine(({ answer, until }) => answer !== 'put-off' || until !== null, {
    error: 'Until which day is it put off?',
    path: ['until'],
  });
/** The type of {@link dueAnswerInput}. */
export type DueAnswerInput = z.infer<typeof dueAnswerInput>;

/** What a customer said of a repair that was not seen again. */
export const followUpInput = z.strictObject({
  answer: z.enum(keysOf(FOLLOW_UP_ANSWERS)),
  /** What the meter shows, km or hours as the job's; null where it was not told. */
  meter: number.min(0, 'Expected 0 or more.').max(5_000_000, 'Expected a reading of a meter.').nullable(),
  note: line.trim(),
});
/** The type of {@link followUpInput}. */
export type FollowUpInput = z.infer<typeof followUpInput>;

/** Query of what is due within so many weeks. */
export const dueQuery = z.strictObject({ weeks: z.coerce.number().int().min(0).max(520).default(8) });

/** Something to have on the shelf for what is due. */
export interface ShelfPart {
  readonly name: string;
  readonly partNumber: string;
  readonly quantity: number;
}

/** A vehicle that is due. */
export interface DueLine extends DueOn {
  readonly plate: string;
  readonly name: string;
  readonly owner: string;
  /** An open job on it; it is being seen to. */
  readonly openJob: { readonly jobId: string; readonly number: number } | null;
  readonly answer: {
    readonly answer: 'put-off' | 'not-wanted' | 'told';
    readonly until: string | null;
    readonly note: string;
    readonly at: string;
    readonly by: string;
  } | null;
  /** What was renewed at its last visit, and will be wanted again. */
  readonly parts: readonly ShelfPart[];
}

/** What is due. */
export interface DueReply {
  readonly today: string;
  readonly rows: readonly DueLine[];
  /** Vehicles that are due later, or of which nothing can be said. */
  readonly later: number;
  /** Parts of all rows together, with what there is of each. */
  readonly shelf: readonly (ShelfPart & { readonly inStock: number | null })[];
}

/** One repair, with what it is known by. */
export interface LifeLine extends RepairLife {
  readonly plate: string;
  readonly number: number;
  readonly closedAt: string;
  /** Whether the customer should be asked. */
  readonly ask: boolean;
}

/** What lasts. */
export interface LastingReply {
  readonly lives: readonly LifeLine[];
  readonly families: readonly { readonly id: string; readonly name: string }[];
}
