import { z } from 'zod';
import { CHANCE, COMMONNESS, GROUPS, type Knowledge, type KnowledgeEdit, type Score } from '../core/diagnose/index.ts';
import { id, keysOf, line, number } from './primitives.ts';

/** One change to the knowledge, as a lead sends it. */
export const knowledgeEdit = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('likelihood'),
    cause: id,
    sign: id,
    outcome: id,
    word: z.enum(keysOf(CHANCE)),
    why: line.trim().min(1, 'Say why, in a few words: others will read it.'),
  }),
  z.strictObject({
    kind: z.literal('common'),
    cause: id,
    group: z.enum(keysOf(GROUPS)),
    to: z.enum(keysOf(COMMONNESS)).nullable(),
  }),
  z.strictObject({ kind: z.literal('minutes'), sign: id, minutes: number }),
]) satisfies z.ZodType<KnowledgeEdit>;

/** A set of changes that becomes the next version. `base` is the version that was looked at. */
export const knowledgeChange = z.strictObject({
  by: id,
  base: z.number().int().min(1),
  note: line.trim().min(1, 'Say what was changed and why.'),
  edits: z.array(knowledgeEdit).min(1, 'Nothing was changed.').max(500),
});

/** One version in the list. */
export interface KnowledgeVersion {
  readonly version: number;
  readonly at: string;
  /** Person id; empty for what ships with the program. */
  readonly by: string;
  readonly note: string;
  readonly edits: number;
}

/** The knowledge page: a version, all versions, and how the written cases come out with it. */
export interface KnowledgeReply {
  readonly knowledge: Knowledge;
  readonly versions: readonly KnowledgeVersion[];
  readonly newest: number;
  readonly score: KnowledgeScore | null;
}

/** Scores of the written cases: by the program, and by a fixed list. Null when no cases are stored. */
export interface KnowledgeScore {
  readonly guided: Score;
  readonly list: Score;
  readonly cases: readonly {
    readonly id: string;
    readonly title: string;
    readonly truth: string;
    readonly placeTold: number;
    readonly placeEnd: number;
    readonly checks: number;
    readonly minutes: number;
    readonly listMinutes: number;
  }[];
}
