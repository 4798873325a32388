export { checkKnowledge } from './check.ts';
export type { KnowledgeProblem } from './check.ts';
export { editKnowledge } from './edit.ts';
export type { EditResult, KnowledgeEdit } from './edit.ts';
export { contradictions, findingOfCode, findingsOfCodes, findingWords } from './findings.ts';
export type { Contradiction } from './findings.ts';
export { FIXED_ORDER } from './fixedOrder.ts';
export { judgeFit, POOR_TAIL, upperTail } from './fit.ts';
export type { Fit } from './fit.ts';
export { bandFor, interpret, typedFields } from './interpret.ts';
export type { Band, Interpretation, TypedField } from './interpret.ts';
export { causesFor, causesOf, chancesOf, restOf, signFits, signsFor } from './model.ts';
export { entropy, nextCheck, whatWouldChange } from './nextCheck.ts';
export type { NextOptions, Preview, Proposal, Turn } from './nextCheck.ts';
export { bestPair } from './pairs.ts';
export type { PairExplanation } from './pairs.ts';
export { isKnown, lastOfEach, logOdds, posterior, rank } from './rank.ts';
export type { RankedCause, Ranking, Weighed } from './rank.ts';
export { LEAVE_OFF, scoreByGain, scoreByList, summarise } from './score.ts';
export type { Case, CaseResult, Score } from './score.ts';
export { ACCESS, CHANCE, COMMONNESS, GROUPS } from './types.ts';
export type {
  Access,
  Cause,
  CauseModel,
  Commonness,
  Entry,
  Finding,
  Group,
  KeyState,
  Knowledge,
  Method,
  Outcome,
  PairRule,
  Portrait,
  Sign,
  Subject,
  Word,
} from './types.ts';
export { understand } from './understand.ts';
export type { Heard, Understood } from './understand.ts';
