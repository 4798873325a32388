import type { Cause, OptionId, UnitRef } from '../diagnose/index.ts';
import type { UnitObjectKind } from '../vehicle/index.ts';

export { OPTION_IDS, OPTIONS } from '../diagnose/index.ts';
export type { OptionId } from '../diagnose/index.ts';

/** What an option takes. Money is in minor units of the shop's currency; parts are for all units that it is done to. */
export interface OptionTerms {
  readonly id: OptionId;
  /** Null when the price is not known: the option is shown, but cannot come first. */
  readonly partsMinor: number | null;
  readonly consumablesMinor: number;
  /** Hands-on. */
  readonly minutes: number;
  /** Soaks and cures that nobody need stand by; told to the customer, not charged. */
  readonly waiting?: number | undefined;
  /** Days off the road beyond the day of the work. */
  readonly daysOff: number;
  /** How long it lasts when it cures: km, or hours for engines that count them. */
  readonly life: number;
  /** Where parts of the number it fits failed here at known distances: those, and the life that is usual. */
  readonly lived?:
    { readonly partNumber: string; readonly distances: readonly number[]; readonly usual: number } | undefined;
  /** Where repairs of this kind failed here often enough: how they held, and the life that is usual. */
  readonly held?:
    | { readonly repairs: number; readonly failures: number; readonly median: number; readonly usual: number }
    | undefined;
  /** Of failures, the share that shows before hand-over, 0 to 1: those cost no comeback. */
  readonly showsAtOnce?: number | undefined;
  /** The kind of unit it is done to; absent where it is done to the engine, or to whatever is there. */
  readonly kind?: UnitObjectKind | undefined;
  /** The one unit it is done to; absent for all of its kind. */
  readonly unit?: UnitRef | null | undefined;
}

/** What the shop has seen of an option: jobs that stayed cured and jobs that came back. */
export interface ShopResult {
  readonly option: OptionId;
  readonly cured: number;
  readonly cameBack: number;
}

/** A cause as far as it is believed: one, or two at once. */
export interface Believed {
  readonly cause: string;
  /** The unit at which it sits, where there are several. */
  readonly unit?: UnitRef | null | undefined;
  /** A second fault beside it. */
  readonly with?: { readonly cause: string; readonly unit?: UnitRef | null | undefined } | undefined;
  /** 0 to 1; all shares add up to 1. */
  readonly share: number;
}

/** What is known of causes as far as it matters here: what cures them, and how soon they are back. */
export type Curable = Pick<Cause, 'id' | 'cures' | 'returns' | 'homes'>;

/** Everything a plan is made from. */
export interface ChooseInput {
  readonly belief: readonly Believed[];
  readonly causes: readonly Curable[];
  readonly terms: readonly OptionTerms[];
  readonly results: readonly ShopResult[];
  readonly ratePerHourMinor: number;
  /** What a day without the vehicle costs its owner. */
  readonly dayPriceMinor: number;
  /** Diagnosing again and good will, when it comes back. */
  readonly comebackMinor: number;
  /** What it costs when nothing of the plan cured it: that of a comeback where nothing is said. */
  readonly unsolvedMinor?: number | undefined;
  /** A step under this chance is not worth trying, whatever it costs: {@link LEAST_CHANCE} where nothing is said. */
  readonly leastChance?: number | undefined;
  /** Options that were tried on this and did not help: a relearn that did not take is not offered again. */
  readonly failed?: readonly OptionId[] | undefined;
  /** Distance counted by 10,000 km or running time by 100 h. */
  readonly per: 'km' | 'h';
}

/** The house's smallest chance, 0 to 1. */
export const LEAST_CHANCE = 0.05;
/** 10,000 km, or 100 h. */
export const PER: Readonly<Record<ChooseInput['per'], number>> = { km: 10_000, h: 100 };

/** The chance to cure, and where it comes from. */
export interface Chance {
  /** Mean of the posterior, 0 to 1. */
  readonly mean: number;
  /** That it cures, or removes one of two faults, 0 to 1. */
  readonly helps: number;
  /** From the ranked causes alone. */
  readonly fromCauses: number;
  /** Nine in ten: 5 and 95 % points of the posterior. */
  readonly low: number;
  readonly high: number;
  readonly cured: number;
  readonly cameBack: number;
}

/** One thing that can be done, with what it does to each thing believed. */
export interface Way {
  /** The option, and the kind or unit it is done to: `replace@idle-valve`, `replace@throttle-actuator:left`. */
  readonly id: string;
  readonly option: OptionId;
  readonly terms: OptionTerms;
  readonly chance: Chance;
  /** Parts, consumables and labour; null without a price. */
  readonly costMinor: number | null;
}

/** One step of a plan. */
export interface PlanStep {
  readonly way: Way;
  /** Of a hundred such vehicles, how many come as far as this step, 0 to 1. */
  readonly reach: number;
  /** How many end here, cured, 0 to 1. */
  readonly ends: number;
  /** Of those that come here, how many are cured, 0 to 1. */
  readonly chance: number;
  /** Of those that come here, how many are cured or rid of one of two faults, 0 to 1. */
  readonly helps: number;
  /** What would be believed after it did not help, likeliest first. */
  readonly then: readonly Believed[];
}

/** What to do, and what next if it does not help: up to three steps. */
export interface Plan {
  readonly steps: readonly PlanStep[];
  /** Not cured by any of it, 0 to 1. */
  readonly open: number;
  /** Steps, as far as they are needed, minor units. */
  readonly stepsMinor: number;
  /** Days off the road to be expected, and what they cost. */
  readonly days: number;
  readonly daysMinor: number;
  /** Failures that show only after hand-over. */
  readonly comebackMinor: number;
  /** What stays open at the end. */
  readonly unsolvedMinor: number;
  /** All of it, minor units. */
  readonly expectedMinor: number;
  /** Distance or hours to be expected of what finally holds. */
  readonly life: number;
  /** Expected money per 10,000 km or 100 h. */
  readonly perUseMinor: number;
}

/** A way that is not part of any plan, and why. */
export interface NotWorth {
  readonly way: Way;
  readonly why: 'no chance' | 'tried already' | 'no price' | 'no life';
}

/** A way whose price decides what comes first. */
export interface AskedPrice {
  readonly way: Way;
  /** Under this price of its part it comes first, minor units; Infinity where nothing else can. */
  readonly underMinor: number;
}

/** The result of `planOptions`. */
export interface Plans {
  /** Best first, each with another first step; empty when nothing has both a chance and a price. */
  readonly plans: readonly Plan[];
  /** Every way, likeliest to cure first. */
  readonly ways: readonly Way[];
  readonly notWorth: readonly NotWorth[];
  /** Ways that have all but a price: see `askedPrices`. */
  readonly unpriced: readonly Way[];
  /** The second is within a tenth of the first: a near draw. */
  readonly close: boolean;
}
