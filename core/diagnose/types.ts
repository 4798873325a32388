/** The five words in which a likelihood is written, so that people can review and argue about it. */
export type Word = 'never' | 'seldom' | 'sometimes' | 'often' | 'nearly always';

/** Each word as a probability, 0 to 1. Never is not zero: people misread, and no single finding may rule all out. */
export const CHANCE: Readonly<Record<Word, number>> = {
  never: 0.02,
  seldom: 0.1,
  sometimes: 0.3,
  often: 0.6,
  'nearly always': 0.9,
};

/** How common a cause is among vehicles of a group, as relative weights; only their ratios matter. */
export const COMMONNESS = { rare: 1, uncommon: 3, common: 8, 'very common': 16 } as const;
/** A word of {@link COMMONNESS}. */
export type Commonness = keyof typeof COMMONNESS;

/** Groups of vehicles that fail alike. */
export const GROUPS = {
  cable: 'Cable throttle',
  electronic: 'Electronic throttle',
  'diesel-flap': 'Diesel intake flap',
  'multi-bank': 'Several units, one a bank',
  motorcycle: 'Motorcycle, one or a bank of four',
  outboard: 'Outboard, counted in hours',
} as const;
/** A key of {@link GROUPS}. */
export type Group = keyof typeof GROUPS;

/** What a diagnosis must know of the vehicle: its group, and whether it has an idle valve to look at. */
export interface Subject {
  readonly group: Group;
  readonly hasValve: boolean;
}

/** One row of a cause's portrait: how often this outcome is seen when this is the cause, and why. */
export interface Portrait {
  readonly sign: string;
  readonly outcome: string;
  readonly word: Word;
  readonly why: string;
}

/** Something that can be wrong. */
export interface Cause {
  readonly id: string;
  readonly name: string;
  /** One or two words, for where there is little room. */
  readonly short: string;
  /** A few words on what it is. */
  readonly about: string;
  /** False for causes that no work on the throttle or its valve will cure. */
  readonly throttle: boolean;
  /** Only where there is an idle valve. */
  readonly needsValve: boolean;
  /** Groups in which it occurs, and how common it is there. */
  readonly common: Readonly<Partial<Record<Group, Commonness>>>;
  readonly shows: readonly Portrait[];
}

/** One way in which a sign can turn out. */
export interface Outcome {
  readonly id: string;
  /** On a button. */
  readonly name: string;
  /** As a finding: “speed changed at a joint”. */
  readonly found: string;
  /** How people say it, as stems; see `understand`. */
  readonly phrases: readonly string[];
}

/** What the engine and key must be like for a check. */
export type KeyState = 'key off' | 'key on, engine off' | 'engine running' | 'driving';

/** A state that some checks need and leave behind, with what it costs to reach. */
export const ACCESS = {
  'duct-off': { name: 'duct off', minutes: 6 },
  'plug-out': { name: 'key off, plug out', minutes: 3 },
  warm: { name: 'engine warm', minutes: 10 },
} as const;
/** A key of {@link ACCESS}. */
export type Access = keyof typeof ACCESS;

/** How an answer is entered. Numbers interpret themselves. */
export type Entry =
  | { readonly kind: 'choice' }
  | {
      readonly kind: 'number';
      readonly unit: string;
      /** Limits of what can be: outside them the entry is refused. */
      readonly low: number;
      readonly high: number;
      /** The family figure that judges it, or null to use `band`. */
      readonly figure: string | null;
      /** Used when the family has no figure; shown as a shop figure. */
      readonly band: readonly [number, number];
      /** Outcome ids for below, within and above the band. */
      readonly outcomes: readonly [string, string, string];
    }
  | {
      readonly kind: 'pair';
      readonly names: readonly [string, string];
      readonly unit: string;
      readonly low: number;
      readonly high: number;
      readonly rule: PairRule;
      readonly outcomes: Readonly<Record<string, string>>;
    };

/** How two values are judged together: tracks that add up to a reference, values that agree, trims at idle and at speed. */
export type PairRule =
  | { readonly kind: 'adds-up-to'; readonly total: number; readonly slack: number }
  | { readonly kind: 'double'; readonly slack: number }
  | { readonly kind: 'agree'; readonly slack: number }
  | { readonly kind: 'idle-and-speed'; readonly limit: number };

/** How a check is done. */
export interface Method {
  readonly minutes: number;
  /** Parts and consumables, minor units of the shop's currency. */
  readonly costMinor: number;
  readonly key: KeyState;
  readonly steps: readonly string[];
  readonly tools: readonly string[];
  /** What is normal where the family has no figure of its own. */
  readonly normal: string;
  readonly cautions: readonly string[];
  /** Checks that must come before. */
  readonly after: readonly string[];
  readonly needs: readonly Access[];
  readonly leaves: readonly Access[];
  readonly entry: Entry;
}

/** What can be noticed, asked, read or checked. Its last outcome is the rest: whatever the others leave. */
export interface Sign {
  readonly id: string;
  readonly kind: 'symptom' | 'circumstance' | 'history' | 'code' | 'check';
  readonly name: string;
  /** The question put to the person, for all but codes and checks. */
  readonly ask: string;
  readonly outcomes: readonly Outcome[];
  /** How often each outcome but the last is seen with causes that say nothing of it. */
  readonly usually: Readonly<Record<string, Word>>;
  readonly groups: readonly Group[] | null;
  readonly needsValve: boolean;
  /** Codes that speak for an outcome: code or its first four characters → outcome id. */
  readonly codes: Readonly<Record<string, string>>;
  readonly method: Method | null;
}

/** All that is known, as plain data: versioned, shown, and adjusted by a lead. */
export interface Knowledge {
  readonly version: number;
  readonly causes: readonly Cause[];
  readonly signs: readonly Sign[];
  /** Pairs of findings that cannot both be; each `sign=outcome`. */
  readonly conflicts: readonly (readonly [string, string])[];
}

/** A finding as the ranking sees it. */
export interface Finding {
  readonly sign: string;
  readonly outcome: string;
}

/** A cause made ready for one subject: prior 0 to 1, and the chance of every outcome of every sign. */
export interface CauseModel {
  readonly id: string;
  readonly prior: number;
  readonly chances: ReadonlyMap<string, Readonly<Record<string, number>>>;
}
