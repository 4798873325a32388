export { estimate, lostTime } from './estimate.ts';
export type { LostTime, TimedStep, TimeEstimate } from './estimate.ts';
export { buildGraph } from './graph.ts';
export type { PlanGraph } from './graph.ts';
export { independentSteps, locksOf } from './locks.ts';
export type { Lock, LockInput } from './locks.ts';
export { holdKey, mayStart } from './mayStart.ts';
export type { Hold, HoldCode, StartVerdict } from './mayStart.ts';
export { planRefit, replan } from './plan.ts';
export type {
  ItemState,
  TallyEndStep,
  TallyFluid,
  TallyFasteners,
  TallyInput,
  TallyItem,
  TallyObject,
  TallyOpening,
  TallySearch,
} from './state.ts';
export { tally } from './tally.ts';
export type { Tally } from './tally.ts';
export { toolList } from './tools.ts';
export type { ToolUse } from './tools.ts';
export type {
  AfterBenchConstraint,
  BeforeConstraint,
  ClosesConstraint,
  Constraint,
  CycleLink,
  NeedsConstraint,
  PlanItem,
  RefitPlan,
  RefitStep,
  TogetherConstraint,
} from './types.ts';
