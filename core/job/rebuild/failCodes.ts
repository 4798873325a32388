/** Why a unit came off for good: the code for the returns box. */
export const FAIL_CODES = {
  'F-10': 'Body warped or cracked',
  'F-11': 'Plate bent, bore out of round',
  'F-20': 'Shaft or bearing worn',
  'F-30': 'Gears worn or broken',
  'F-31': 'Motor or coil dead',
  'F-40': 'Position sensor worn',
  'F-50': 'Thread or lug gone',
  'F-60': 'Valve stuck, not to be freed',
  'F-70': 'Wrong variant',
  'F-90': 'Worn out, no one thing',
} as const;
/** A key of {@link FAIL_CODES}. */
export type FailCode = keyof typeof FAIL_CODES;
