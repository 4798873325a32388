import { z } from 'zod';
import type { CauseLesson, Lesson, LessonPart } from '../core/lessons/index.ts';
import { id, line } from './primitives.ts';

const note = line.trim();

/** What is done with a lesson: it is taken into something, or set aside with why; nothing is taken by itself. */
export const lessonAnswerInput = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('procedure'), procedureId: id }),
  z.strictObject({ what: z.literal('stock') }),
  z.strictObject({ what: z.literal('knowledge') }),
  z.strictObject({ what: z.literal('set-aside'), note: note.min(1, 'Say why: it is not shown again.') }),
  z.strictObject({ what: z.literal('take-up-again') }),
]);
/** The type of {@link lessonAnswerInput}. */
export type LessonAnswerInput = z.infer<typeof lessonAnswerInput>;

/** What became of a lesson. */
export interface LessonAnswer {
  readonly what: 'procedure' | 'stock' | 'knowledge' | 'set-aside';
  /** The id of the procedure or the thing in stock, or the version of the knowledge. */
  readonly subject: string;
  readonly note: string;
  readonly at: string;
  readonly by: string;
}

/** A finding of a family, with what it could change. */
export interface LessonLine extends Omit<Lesson, 'looks'> {
  readonly family: string;
  /** By meter: what is drawn, and the jobs behind it. */
  readonly looks: readonly {
    readonly jobId: string;
    readonly number: number;
    readonly plate: string;
    readonly meter: number;
    readonly bad: boolean;
  }[];
  readonly part: LessonPart | null;
  /** Procedures of the family that could say it; `says` where they do. */
  readonly procedures: readonly { readonly id: string; readonly name: string; readonly says: boolean }[];
  /** What would be added to a procedure; null for nothing. */
  readonly need: string | null;
  /** The part in stock, and when it is ordered again, as said or by its use: null where nobody would. */
  readonly stock: { readonly id: string; readonly orderAt: number | null } | null;
  readonly answers: readonly LessonAnswer[];
}

/** A cause that is found oftener than the knowledge says. */
export interface CauseLine extends CauseLesson {
  readonly name: string;
  readonly numbers: readonly { readonly jobId: string; readonly number: number; readonly plate: string }[];
  readonly answers: readonly LessonAnswer[];
}

/** What the shop’s own work has to teach it. */
export interface LessonsReply {
  readonly found: readonly LessonLine[];
  readonly causes: readonly CauseLine[];
  /** Looks that were counted, on so many vehicles. */
  readonly looks: number;
  readonly vehicles: number;
}
