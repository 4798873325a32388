export { type Banded, type Due, type DueInput, dueOf, type FoulingPrior, type FoulingVisit, priorOf } from './due.ts';
export { DUE_AT, type FoulingLevel, foulingLevel, type FoulingSeen } from './fouling.ts';
export { type Comparison, LEAST_FAILURES, logRank, TELLING } from './logRank.ts';
export { chiSquareTail, erfc, normalQuantile, normalShare } from './normal.ts';
export { type MeterOn, rateOfUse, type RateOfUse } from './rateOfUse.ts';
export { kaplanMeier, type Life, shareAt, type Survival, type SurvivalStep } from './survival.ts';
