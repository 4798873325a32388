export { fitInto } from './fits.ts';
export type { Fit, Task } from './fits.ts';
export { bayState } from './state.ts';
export type { BayState, Step } from './state.ts';
export type { ShopHours } from './day/hours.ts';
export { paceOf, type StageTook } from './day/pace.ts';
export {
  HONEST,
  weaveDay,
  type DayClash,
  type DayEnd,
  type DayWay,
  type WeavingDay,
  type WovenDay,
} from './day/woven.ts';
export type { WaitUsed } from './weave/uses.ts';
export { asPlanned, dayProblem, type DayProblem, type TimedStretch } from './day/problem.ts';
export type {
  Absence,
  DayInput,
  DayJob,
  DayPerson,
  LongerDay,
  NotPlanned,
  PlannedBlock,
  StagePace,
  Wish,
} from './day/types.ts';
export { chanceBy, chancesOf, doneBy, type Chances, type Spreads } from './weave/chances.ts';
export { type Clash, clashesOf, endOf, type WayOut, waysOut } from './weave/clashes.ts';
export { stretchKey } from './weave/problem.ts';
export { expectedByStage, leftOf, needsBay, standsInside } from './left/ofJob.ts';
export { LONGEST_PIECE, UNTIMED_SPREAD, type LeftStretch } from './left/left.ts';
export { type Skill, SKILL_OF, SKILLS, usualSkills } from './left/skills.ts';
export { weave, type Weave } from './weave/weave.ts';
export type {
  Block,
  HandsOn,
  NoPlace,
  Span,
  Stretch,
  Waiting,
  WeaveJob,
  WeaveProblem,
  Worker,
} from './weave/problem.ts';
export { nextTask, waitLeft, waitsFor } from './tasks.ts';
export type { BayWait, InBay } from './tasks.ts';
