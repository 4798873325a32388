export { mayStart } from './mayStart.ts';
export type { Hold, StartVerdict } from './mayStart.ts';
export { planRefit } from './plan.ts';
export type { ItemState, TallyFasteners, TallyInput, TallyItem, TallyObject, TallyOpening } from './state.ts';
export { tally } from './tally.ts';
export type { Tally } from './tally.ts';
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
