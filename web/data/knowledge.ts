import type { KnowledgeReply, TrialReply } from '../../contract/index.ts';
import type { KnowledgeEdit } from '../../core/diagnose/index.ts';
import { ask, give } from './asking.ts';

/** A version of the knowledge with its score. @param version or `newest` */
export const readKnowledge = (version: string): Promise<KnowledgeReply> => ask(`/knowledge/${version}/page`);
/** What changes would do to past jobs; nothing is kept. */
export const tryKnowledge = (edits: readonly KnowledgeEdit[]): Promise<TrialReply> =>
  give('/knowledge/trials', { edits });
/** Saves the next version. @param base the version that was looked at */
export const changeKnowledge = (base: number, note: string, edits: readonly KnowledgeEdit[]): Promise<unknown> =>
  give('/knowledge', { base, note, edits });
