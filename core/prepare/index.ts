export {
  addWorking,
  closedDaysBetween,
  compareMoments,
  hoursOf,
  nextOpen,
  ORDINARY_WEEK,
  subtractWorking,
} from './calendar.ts';
export type { Calendar, Hours } from './calendar.ts';
export type { Moment } from '../days/index.ts';
export { heldByParts } from './held.ts';
export { calibrationDue, orderNow, readiness, toolFor } from './readiness.ts';
export type { InStock, OrderLine, Readiness, ReadinessInput, Tool } from './readiness.ts';
export { startOrWait } from './start.ts';
export type { Course, MissingPart, StartAdvice, StartInput } from './start.ts';
