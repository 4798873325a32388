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
export { openPlateArea, plateDegrees } from './plates.ts';
export type { Plates } from './plates.ts';
export { idleArea, recovered } from './idleAir.ts';
export type { Airway, Estimate, IdleArea, IdleReading, Recovered } from './idleAir.ts';
