export { betaCdf, betaQuantile } from './beta.ts';
export { chanceOf, compareOptions, flipPrice, PER, PRIOR_JOBS } from './compare.ts';
export type { Flip } from './compare.ts';
export { usualTerms, USUAL } from './terms.ts';
export { cures, TREATS } from './treats.ts';
export { OPTIONS } from './types.ts';
export type { Chance, ChooseInput, ComparedOption, Comparison, OptionId, OptionTerms, ShopResult } from './types.ts';
