export { dueList, type DueOn, type DueVehicle, type HouseInterval } from './due.ts';
export {
  ASK_AFTER_DAYS,
  compareLasting,
  FOLLOW_UP_ANSWERS,
  type FollowUp,
  type FollowUpAnswer,
  type KnownBy,
  type Lasting,
  lastingOf,
  livesOf,
  type RepairLife,
  wantsFollowUp,
} from './lasting.ts';
export { dueMessage, rounded } from './message.ts';
export { meterOf, type Visit, type VisitKind, visitOf } from './visit.ts';
