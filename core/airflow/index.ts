export {
  AIR_R,
  CHOKED,
  cylinderFlow,
  effectiveArea,
  flowFunction,
  flowPerMm2,
  massFlow,
  plateArea,
} from './orifice.ts';
export type { Across, Draw } from './orifice.ts';
export { idleArea, recovered } from './idleAir.ts';
export type { Airway, Estimate, IdleArea, IdleReading, Recovered } from './idleAir.ts';
