export { HOSTS, ladder, nextRung, outlook, replaceInstead, RUNGS } from './ladder.ts';
export type {
  Host,
  LadderOutlook,
  RungChances,
  ReplaceVerdict,
  Rung,
  RungId,
  RungState,
  SeizedScrew,
} from './ladder.ts';
