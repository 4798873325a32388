export { fitInto } from './fits.ts';
export type { Fit, Task } from './fits.ts';
export { bayState } from './state.ts';
export type { BayState, Step } from './state.ts';
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
