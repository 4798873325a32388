export { canUse, SUBSTANCES } from './can.ts';
export type { CanUse, Substance } from './can.ts';
export { nextPass, PASS_KINDS, SOAK_MINUTES } from './passes.ts';
export type { PassKind } from './passes.ts';
