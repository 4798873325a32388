export {
  CHANGED,
  chancesSeen,
  ENOUGH_TRIES,
  HOSTS,
  ladder,
  leftOut,
  nextRung,
  outlook,
  replaceInstead,
  RUNGS,
} from './ladder.ts';
export type {
  ChangedId,
  RungTries,
  Host,
  LadderOutlook,
  RungChances,
  ReplaceVerdict,
  Rung,
  RungId,
  RungState,
  SeizedScrew,
} from './ladder.ts';
