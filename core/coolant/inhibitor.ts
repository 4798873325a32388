/** Families of corrosion inhibitors, by chemistry and not by colour: colours are not agreed on. */
export const INHIBITORS = {
  IAT: 'IAT, inorganic (silicate, phosphate)',
  OAT: 'OAT, organic acid',
  HOAT: 'HOAT, organic acid with silicate',
  'P-OAT': 'P-OAT, organic acid with phosphate',
  'Si-OAT': 'Si-OAT, organic acid, stabilised silicate',
} as const;
/** The id of an inhibitor family. */
export type Inhibitor = keyof typeof INHIBITORS;

/** What mixing two families leads to. */
export interface Compatibility {
  readonly verdict: 'same' | 'mixes, lasts less' | 'do not mix';
  readonly words: string;
}

type Pair = `${Inhibitor}+${Inhibitor}`;
const BAD: Readonly<Partial<Record<Pair, string>>> = {
  'IAT+OAT': 'silicate drops out as gel and the organic acid no longer protects',
  'IAT+P-OAT': 'silicate and phosphate drop out with hard water',
  'HOAT+P-OAT': 'silicate against phosphate: neither stays dissolved',
  'P-OAT+Si-OAT': 'silicate against phosphate: neither stays dissolved',
};

/**
 * Whether two families may be mixed. General knowledge of the trade; the engine maker's approval comes first.
 * The order does not matter.
 */
export function compatible(a: Inhibitor, b: Inhibitor): Compatibility {
  if (a === b) return { verdict: 'same', words: `Both ${a}.` };
  const why = BAD[`${a}+${b}`] ?? BAD[`${b}+${a}`];
  return why === undefined
    ? {
        verdict: 'mixes, lasts less',
        words: `${a} with ${b} mixes; change it as early as the shorter-lived of the two.`,
      }
    : { verdict: 'do not mix', words: `${a} with ${b}: ${why}. Flush and fill with one.` };
}
