import { z } from 'zod';
import {
  type Case,
  CHANCE,
  COMMONNESS,
  GROUPS,
  isProofWord,
  type Knowledge,
  type KnowledgeEdit,
  OPTIONS,
  type UsualWord,
} from '../core/diagnose/index.ts';
import { id, keysOf, line, number } from './primitives.ts';

const why = line.trim().min(1, 'Say why, in a few words: others will read it.');
const usualWord = z.enum(keysOf(CHANCE).filter((word) => !isProofWord(word)) as [UsualWord, ...UsualWord[]]);

/** One change to the knowledge, as a lead sends it. */
export const knowledgeEdit = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('likelihood'),
    cause: id,
    sign: id,
    outcome: id,
    word: z.enum(keysOf(CHANCE)),
    why,
    seen: usualWord.optional(),
  }),
  z.strictObject({
    kind: z.literal('common'),
    cause: id,
    group: z.enum(keysOf(GROUPS)),
    to: z.enum(keysOf(COMMONNESS)).nullable(),
  }),
  z.strictObject({ kind: z.literal('minutes'), sign: id, minutes: number }),
  z.strictObject({
    kind: z.literal('cure'),
    cause: id,
    option: z.enum(keysOf(OPTIONS)),
    word: usualWord,
    why,
  }),
  z.strictObject({
    kind: z.literal('group'),
    id,
    name: line.trim().min(1, 'Give it a name.'),
    signs: z.array(id).max(30),
    why,
  }),
  z.strictObject({
    kind: z.literal('code'),
    code: line,
    meaning: line,
    sign: id.nullable(),
    outcome: id.nullable(),
  }),
  z.strictObject({ kind: z.literal('forget-code'), code: line }),
  z.strictObject({ kind: z.literal('phrase'), phrase: line, sign: id, outcome: id }),
  z.strictObject({ kind: z.literal('forget-phrase'), phrase: line }),
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

/** A written case as a store keeps it; those set apart are never looked at while likelihoods are set. */
export interface StoredCase extends Case {
  readonly apart: boolean;
}

/** The knowledge page: a version, all versions, and the written cases that it is scored by. */
export interface KnowledgeReply {
  readonly knowledge: Knowledge;
  readonly versions: readonly KnowledgeVersion[];
  readonly newest: number;
  readonly cases: readonly StoredCase[];
}

/** What a set of changes would do to past jobs of the shop, before it is kept. */
export const knowledgeTrial = z.strictObject({
  by: id,
  edits: z.array(knowledgeEdit).min(1, 'Nothing was changed.').max(500),
});

/** A past job in which another cause would lead. */
export interface TrialChange {
  readonly jobId: string;
  readonly number: number;
  readonly plate: string;
  readonly before: { readonly name: string; readonly share: number };
  readonly after: { readonly name: string; readonly share: number };
}
/** The answer to a trial. */
export interface TrialReply {
  /** Past jobs that were judged anew. */
  readonly jobs: number;
  readonly changed: readonly TrialChange[];
}
