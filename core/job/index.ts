export { caution, CAUTION_CLOSE, CAUTIONS } from './cautions.ts';
export type { Caution } from './cautions.ts';
export { NO_CONTEXT } from './commands.ts';
export type { Command, CommandBody, CommandData, CommandType, Context, Decision, Refusal, Role } from './commands.ts';
export { decide } from './decide/index.ts';
export type { EventData, EventType, JobEvent, RecordedEvent, RunInputData } from './events.ts';
export { evolve, HANDS_ON_GAP_S, replay } from './evolve/index.ts';
export {
  coolantLoss,
  coolantNow,
  inhibitorQuestions,
  jobObjections,
  judgedFindings,
  looksClean,
  nextUnitPass,
  openedHoses,
  passesOf,
  seenSince,
  shareBefore,
  unitMethod,
  wantsGrade,
  wasteDue,
} from './bench.ts';
export { benchUnits, formOf, lightEven, worstGrade } from './benchUnits.ts';
export type { BenchUnit } from './benchUnits.ts';
export { FAIL_CODES } from './benchTypes.ts';
export { CHOICES, MEASURES, PROOFS } from './lists.ts';
export type { Choice, MeasureKind, ProofKind } from './lists.ts';
export { diagnoseJob, isOrdinary, jobFindings, subjectOf } from './diagnosis.ts';
export type { FindingSource, JobDiagnosis, JobFinding } from './diagnosis.ts';
export { proposeProcedure } from './propose.ts';
export type { Lesson } from './lessons.ts';
export type { Proposal } from './propose.ts';
export { currentStage, stageGaps } from './progress.ts';
export { allNeeds, endSteps, needState, partHere, partName } from './needs.ts';
export {
  boltIds,
  boltOrder,
  boltVerdict,
  groupPasses,
  isAtTorque,
  lengthsOf,
  nextBolt,
  strippedThreads,
  wantsPass,
} from './bolts.ts';
export {
  AT_IT_MIN,
  benchIsDone,
  foreseenPlan,
  freeToGoBack,
  jobConstraints,
  jobLocks,
  jobPlan,
  lockWords,
  nextBack,
  peopleAtIt,
} from './plans.ts';
export {
  closerOf,
  isBack,
  itemOf,
  leftColumn,
  nextOff,
  nextOffFor,
  runningTimers,
  secondsLeft,
  timerEnd,
} from './query.ts';
export { jobCoolantQuestions, jobMayStart, jobTally } from './tallies.ts';
export { ESTIMATE_SPREAD, estimateLines, estimateRange, jobChoice, jobTerms, unitInQuestion } from './options.ts';
export type { ShopFigures } from './options.ts';
export { nextStage, previousStage, STAGE_NAMES, STAGES } from './stages.ts';
export type { Stage } from './stages.ts';
export { FLAG_NEEDS, FLAGS } from './stripTypes.ts';
export type * from './types.ts';
export { eventWords } from './words.ts';
