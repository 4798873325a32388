export { checkProcedure, namedBy, procedureProblems } from './check.ts';
export type { ProcedureProblem } from './check.ts';
export { constraintWords, diffProcedures } from './diff.ts';
export type { Difference, FieldChange } from './diff.ts';
export { figureWanted, jointOf } from './joint.ts';
export { expectedMinutes } from './minutes.ts';
export {
  answersFor,
  STARTER_HOLES,
  STARTER_REACHES,
  STARTER_SEALS,
  STARTER_UNITS,
  STARTER_VALVES,
  starterProcedure,
} from './starter.ts';
export type { StarterAnswers, StarterDraft } from './starter.ts';
export { backStepTies, comesOffAfter, stepsInPlace } from './order.ts';
export { plainItem } from './plain.ts';
export { isBackStep, ITEM_KINDS, JOINTS, OFF_REASONS, RESTORE_KINDS, WORK_KINDS } from './types.ts';
export type {
  Bolt,
  CoolantSystem,
  FastenerGroup,
  ItemKind,
  Joint,
  Need,
  OffReason,
  OffReasonKind,
  Procedure,
  ProcedureItem,
  ProcedureOpening,
  RestoreKind,
  ThreadHole,
  UnitKind,
  WorkKind,
} from './types.ts';
export { withTag } from './tag.ts';
