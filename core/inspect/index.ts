export { objections } from './conclude.ts';
export type { Judged, Objection } from './conclude.ts';
export { isPointProblem, judgePoint, limitOf, typedAt } from './judge.ts';
export type { PointInput } from './judge.ts';
export { LIGHT_NAMES, LIGHT_SECTORS, LIGHT_SHAPE, readLight } from './light.ts';
export type { LightMark, LightResult } from './light.ts';
export { coilAt20, COPPER_PER_K } from './ohms.ts';
export { cleaningPoint, GRADE_LOOKS, GRADES, PER_BORE, pointName, pointOf, POINTS, pointsFor } from './points.ts';
export type {
  Cure,
  InspectPoint,
  Limit,
  PointEntry,
  PointOutcome,
  PointProblem,
  PointResult,
  PointVerdict,
} from './types.ts';
export { lineUp, moved } from './lineUp.ts';
export type { Similarity, Spot } from './lineUp.ts';
export { SPEAKS, speaksOf, spokenBy } from './speaks.ts';
export type { Speaks, Spoken } from './speaks.ts';
