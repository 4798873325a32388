export { inOrder, lubricantProblem, lubricantsFor, missingBefore, RUBBERS } from './kit.ts';
export type { KitPart, Rubber } from './kit.ts';
export { judgeClosed, linearity, LINEARITY_LIMIT, SWEEP_PERCENT } from './sensor.ts';
export type { Linearity, Setting, SweepPoint } from './sensor.ts';
export { COUNTED_SCREWS, netTurns, turnWords } from './turns.ts';
export type { CountedScrew, Turn } from './turns.ts';
