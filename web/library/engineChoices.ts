import { type EngineFamily, VEHICLE_USES } from '../../core/vehicle/index.ts';

type Choices<K extends keyof EngineFamily> = readonly { readonly id: EngineFamily[K]; readonly name: string }[];

/** Kinds of throttle, as said on buttons. */
export const THROTTLES: Choices<'throttle'> = [
  { id: 'cable', name: 'Cable' },
  { id: 'electronic', name: 'Electronic' },
  { id: 'diesel-flap', name: 'Diesel flap' },
];
/** Kinds of idle air valve. */
export const IDLE_VALVES: Choices<'idleValve'> = [
  { id: 'none', name: 'None' },
  { id: 'stepper', name: 'Stepper' },
  { id: 'rotary', name: 'Rotary' },
  { id: 'duty', name: 'Duty' },
  { id: 'wax', name: 'Fast-idle wax' },
];
/** What an engine family is used in. */
export const USES: Choices<'use'> = (['road', 'motorcycle', 'outboard'] as const).map((id) => ({
  id,
  name: VEHICLE_USES[id],
}));
/** How many units an engine has. */
export const LAYOUTS: Choices<'layout'> = [
  { id: 'single', name: 'One' },
  { id: 'per-bank', name: 'One a bank' },
  { id: 'per-cylinder', name: 'One a cylinder' },
];
