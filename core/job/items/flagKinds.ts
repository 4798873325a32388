/** How an item was found. */
export const FLAGS = {
  broken: 'Broken',
  seized: 'Seized',
  missing: 'Missing',
  wrong: 'Wrong one fitted',
} as const;
/** The id of a flag. */
export type Flag = keyof typeof FLAGS;

/** What a flagged item needs. */
export const FLAG_NEEDS = {
  part: 'A new part',
  repair: 'A repair',
  note: 'A line on the sheet',
} as const;
/** The id of what it needs. */
export type FlagNeed = keyof typeof FLAG_NEEDS;
