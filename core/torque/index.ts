export { withAdapter } from './adapter.ts';
export type { Adapter } from './adapter.ts';
export { judge } from './judge.ts';
export type { BoltVerdict, Judgement } from './judge.ts';
export { tighteningOrder } from './order.ts';
export { passCount, passes } from './passes.ts';
export type { TorquePass } from './passes.ts';
export {
  CONDITIONS,
  correctForLubricant,
  K_SCATTER,
  preload,
  preloadOf,
  PROOF_STRESS,
  proofFraction,
} from './preload.ts';
export type { Preload, PropertyClass, ThreadCondition } from './preload.ts';
export { REPAIRS, repairRoutes } from './repair.ts';
export type { RepairOption, RepairRoute } from './repair.ts';
export { isSpec, SINGLE_FIGURE_SPREAD, specFromText } from './spec.ts';
export { MARGIN_WANTED, STRENGTHS, stripMargin, threadStrip } from './strip.ts';
export type { StripMargin, ThreadMaterial, ThreadStrength, ThreadStrip } from './strip.ts';
export { parseThread, pitchDiameter, stressArea } from './thread.ts';
export type { Thread } from './thread.ts';
export type { AchievedTorque, BoltPlace, TightenMethod, TorqueSpec, Wrench } from './types.ts';
export { deviationOf, rankWrenches, suggestSetting, USABLE_FROM } from './wrench.ts';
export type { RankedWrench, WrenchSetting, WrenchVerdict } from './wrench.ts';
