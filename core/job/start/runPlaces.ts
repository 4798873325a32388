/** How an outboard is run while it is tried. */
export const TRIAL_PLACES = {
  hose: 'on the hose',
  tank: 'in the tank',
  water: 'on the water',
} as const;
/** The id of a {@link TRIAL_PLACES}. */
export type TrialPlace = keyof typeof TRIAL_PLACES;
