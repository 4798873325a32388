export { FAULT_SIGNS, WELL_OUTCOMES } from './faultSigns.ts';
export { broughtUp, carryOver, changesBetween } from './bringUp.ts';
export type { CarriedOver } from './bringUp.ts';
export { checkKnowledge } from './check.ts';
export type { KnowledgeProblem } from './check.ts';
export { editKnowledge } from './edit.ts';
export type { EditResult, KnowledgeEdit } from './edit.ts';
export { contradictions, findingOfCode, findingsOfCodes, findingWords, whyNoSign } from './findings.ts';
export type { Contradiction } from './findings.ts';
export { FIXED_ORDER } from './fixedOrder.ts';
export { judgeFit, POOR_TAIL, upperTail } from './fit.ts';
export type { Fit } from './fit.ts';
export { bandFor, interpret, typedFields } from './interpret.ts';
export type { Band, Interpretation, TypedField } from './interpret.ts';
export { causesFor, causesOf, chancesOf, findingKey, proofsOf, restOf, signFits, signsFor, unitsAt } from './model.ts';
export { entropy, nextCheck, whatWouldChange } from './nextCheck.ts';
export type { NextOptions, Preview, Proposal, Turn } from './nextCheck.ts';
export { bestPair, SECOND_FAULT } from './pairs.ts';
export type { PairExplanation } from './pairs.ts';
export { isKnown, lastOfEach, likelihood } from './evidence.ts';
export type { Explanation } from './explain.ts';
export { logOdds, posterior, rank } from './rank.ts';
export type { RankedCause, Ranking, Weighed } from './rank.ts';
export { isPairNamed, LEAVE_OFF, placeOf, scoreBy, scoreByGain, scoreByList } from './score.ts';
export { rateOf, summarise } from './summary.ts';
export type { Case, CaseResult, Chooser } from './score.ts';
export type { Rate, ReliabilityBand, Score } from './summary.ts';
export { CHANCE, COMMONNESS, isProofWord, PROOF_OF_ANOTHER } from './likelihood.ts';
export type { Commonness, ProofWord, UsualWord, Word } from './likelihood.ts';
export { OPTION_IDS, OPTIONS } from './options.ts';
export type { OptionId } from './options.ts';
export { LIKELY_AT, SETTLES_AT } from './standing.ts';
export type { Standing } from './standing.ts';
export { GROUPS, IDLE_KINDS, sameUnit, THROTTLE_KINDS, unitKey } from './subject.ts';
export type { Group, Subject, UnitRef } from './subject.ts';
export { attemptFinding, attemptWeight, cureOf, HALVES, TRIED, triedOf, triedSign } from './tried.ts';
export type { Attempt } from './tried.ts';
export { ACCESS } from './types.ts';
export type {
  Access,
  Cause,
  CauseModel,
  Cure,
  Entry,
  Finding,
  KeyState,
  Knowledge,
  Method,
  Outcome,
  OwnCode,
  OwnPhrase,
  PairRule,
  Portrait,
  Returns,
  Sign,
  SignGroup,
} from './types.ts';
export { understand } from './words/understand.ts';
export type { AskBack, Heard, Understood } from './words/understand.ts';
export type { ToldAttempt } from './words/deeds.ts';
