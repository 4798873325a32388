export {
  addWorking,
  closedDaysBetween,
  compareMoments,
  hoursOf,
  nextOpen,
  ORDINARY_WEEK,
  shiftDay,
  subtractWorking,
} from './calendar.ts';
export type { Calendar, Hours, Moment } from './calendar.ts';
export { heldByParts } from './held.ts';
export { calibrationDue, orderNow, readiness, toolFor } from './readiness.ts';
export type { InStock, OrderLine, Readiness, ReadinessInput, Tool } from './readiness.ts';
export { startOrWait } from './start.ts';
export type { Course, MissingPart, StartAdvice, StartInput } from './start.ts';
