export { coolantAccount, coolantQuestions, UNREMARKABLE_LOSS_L } from './account.ts';
export type { CoolantAccount, CoolantEntry } from './account.ts';
export {
  freezePoint,
  GLYCOL_DENSITY,
  massFraction,
  shareForFreezePoint,
  volumeFraction,
  WATER_DENSITY,
} from './glycol.ts';
export type { Glycol } from './glycol.ts';
export { mix } from './mix.ts';
export type { CoolantChange, CoolantState } from './mix.ts';
