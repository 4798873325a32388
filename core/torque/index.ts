export { judge } from './judge.ts';
export type { BoltVerdict, Judgement } from './judge.ts';
export { tighteningOrder } from './order.ts';
export { passes } from './passes.ts';
export type { TorquePass } from './passes.ts';
export { isSpec, SINGLE_FIGURE_SPREAD, specFromText } from './spec.ts';
export type { AchievedTorque, BoltPlace, TightenMethod, TorqueSpec, Wrench } from './types.ts';
export { deviationOf, rankWrenches, suggestSetting, USABLE_FROM } from './wrench.ts';
export type { RankedWrench, WrenchSetting, WrenchVerdict } from './wrench.ts';
