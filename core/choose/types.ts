/** What can be done about it. */
export const OPTIONS = {
  relearn: 'Relearn only',
  'clean-in-place': 'Clean on the vehicle',
  'clean-bench': 'Clean on the bench',
  rebuild: 'Rebuild: seals, screws, gears',
  replace: 'Replace, new unit',
  'replace-rebuilt': 'Replace, rebuilt unit',
  'replace-used': 'Replace, used unit',
  elsewhere: 'Not the throttle',
} as const;
/** A key of {@link OPTIONS}. */
export type OptionId = keyof typeof OPTIONS;

/** What an option takes. Money is in minor units of the shop's currency. */
export interface OptionTerms {
  readonly id: OptionId;
  /** Null when the price is not known: the option is shown, but cannot come first. */
  readonly partsMinor: number | null;
  readonly consumablesMinor: number;
  readonly minutes: number;
  /** Days off the road beyond the day of the work. */
  readonly daysOff: number;
  /** How long it lasts when it cures: km, or hours for engines that count them. */
  readonly life: number;
}

/** What the shop has seen of an option: jobs that stayed cured and jobs that came back. */
export interface ShopResult {
  readonly option: OptionId;
  readonly cured: number;
  readonly cameBack: number;
}

/** Everything a comparison is made from. */
export interface ChooseInput {
  /** Causes with their shares, 0 to 1, adding up to 1. */
  readonly belief: readonly { readonly cause: string; readonly share: number }[];
  readonly terms: readonly OptionTerms[];
  readonly results: readonly ShopResult[];
  readonly ratePerHourMinor: number;
  /** What a day without the vehicle costs its owner. */
  readonly dayPriceMinor: number;
  /** Diagnosing again and good will, when it comes back. */
  readonly comebackMinor: number;
  /** Distance counted by 10,000 km or running time by 100 h. */
  readonly per: 'km' | 'h';
}

/** The chance to cure, and where it comes from. */
export interface Chance {
  /** Mean of the posterior, 0 to 1. */
  readonly mean: number;
  /** From the ranked causes alone. */
  readonly fromCauses: number;
  /** Nine in ten: 5 and 95 % points of the posterior. */
  readonly low: number;
  readonly high: number;
  readonly cured: number;
  readonly cameBack: number;
}

/** An option, worked out. */
export interface ComparedOption {
  readonly terms: OptionTerms;
  readonly chance: Chance;
  /** Parts, consumables, labour and days off the road; null without a price. */
  readonly nowMinor: number | null;
  /** Now plus what a comeback would cost, times its chance. */
  readonly expectedMinor: number | null;
  /** Per 10,000 km or 100 h of the life to be expected. */
  readonly perUseMinor: number | null;
  /** What is not known about it, in words. */
  readonly unknown: readonly string[];
}

/** The result of `compareOptions`. */
export interface Comparison {
  /** Best first: lowest cost per distance; without a price last. */
  readonly options: readonly ComparedOption[];
  readonly first: OptionId | null;
  readonly sentence: string;
}
