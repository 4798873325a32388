import type { HoldCode } from '../../refit/index.ts';

/** Every code of a hold; one that the refit room does not know, or that is missing here, does not compile. */
export const HOLD_CODES = {
  'opening-open': 0,
  search: 0,
  'object-in': 0,
  'opening-plugged': 0,
  thread: 0,
  count: 0,
  'item-off': 0,
  torque: 0,
  figure: 0,
  'unit-loose': 0,
  coolant: 0,
  bleed: 0,
  'cooling-water': 0,
  connector: 0,
  measure: 0,
  'end-step': 0,
} as const satisfies Record<HoldCode, 0>;
