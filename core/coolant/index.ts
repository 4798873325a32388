export { coolantAccount, coolantQuestions, UNREMARKABLE_LOSS_L } from './account.ts';
export type { CoolantAccount, CoolantEntry } from './account.ts';
export {
  freezePoint,
  freezeWords,
  GLYCOL_DENSITY,
  massFraction,
  shareForFreezePoint,
  volumeFraction,
  WATER_DENSITY,
} from './glycol.ts';
export type { CoolantFilling } from './filling.ts';
export type { FreezePoint, Glycol } from './glycol.ts';
export { mix } from './mix.ts';
export type { CoolantChange, CoolantState } from './mix.ts';
export { compatible, INHIBITORS } from './inhibitor.ts';
export type { Compatibility, Inhibitor } from './inhibitor.ts';
export { expectedLoss, lossQuestion, shareFromRefractometer, USUAL_LOSS_L } from './loss.ts';
export type { ExpectedLoss, OpenedHose } from './loss.ts';
export { READY_MIX_SHARE, SHARE_SLACK, topUp } from './topUp.ts';
export type { CoolantTarget, TopUp } from './topUp.ts';
