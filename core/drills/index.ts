export { judgeMix, mixDrill, type MixDrill, type MixJudged } from './mixing.ts';
export { judgeRelearn, relearnDrill, type RelearnDrill, type StepJudged, type TimedStep } from './relearn.ts';
export { isSound, seenDrill, type SeenDrill } from './seen.ts';
export { stillInDrill, type StillInDrill } from './stillIn.ts';
export { TRACE_ANSWERS, type TraceAnswer, traceDrill, type TraceDrill } from './traces.ts';
export { type BackRule, judgeWayBack, wayBackDrill, type WayBackDrill, type WayBackJudged } from './wayBack.ts';
export { judgeWrench, wrenchDrill, type WrenchDrill, type WrenchJudged } from './wrench.ts';
