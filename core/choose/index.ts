export { askedPrices } from './askedPrice.ts';
export { betaCdf, betaQuantile } from './beta.ts';
export { chanceOf, curesAt, lifeAt, PRIOR_JOBS } from './chance.ts';
export { compareOptions } from './compare.ts';
export type { ComparedOption, Comparison } from './compare.ts';
export { flipChance, flipPrice } from './flip.ts';
export type { Flip } from './flip.ts';
export { planOptions } from './plan.ts';
export { bestFor, MOST_STEPS, problemOf } from './search.ts';
export type { Problem } from './search.ts';
export { usualTerms, USUAL } from './terms.ts';
export type { TermsInput, UsualFigures } from './terms.ts';
export { LEAST_CHANCE, OPTION_IDS, OPTIONS, PER } from './types.ts';
export type {
  AskedPrice,
  Believed,
  Chance,
  ChooseInput,
  Curable,
  NotWorth,
  OptionId,
  OptionTerms,
  Plan,
  Plans,
  PlanStep,
  ShopResult,
  Way,
} from './types.ts';
export { wayId, waysOf } from './ways.ts';
export { worthOfChecks } from './worth.ts';
export type { CheckWorth, WorthInput } from './worth.ts';
export { FAILURES_THAT_COUNT, HELD_COUNTS, lifeAfter, withHeld, withLives } from './lives.ts';
export type { PartLived, RepairsHeld } from './lives.ts';
