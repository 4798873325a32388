import type { UnitObjectKind } from '../vehicle/index.ts';
import type { Commonness, UsualWord, Word } from './likelihood.ts';
import type { OptionId } from './options.ts';
import type { Group, UnitRef } from './subject.ts';

/** One row of a cause’s portrait: how often this outcome is seen when this is the cause, and why. */
export interface Portrait {
  readonly sign: string;
  readonly outcome: string;
  readonly word: Word;
  readonly why: string;
  /**
   * For what *proves*: how often it is seen when this is the cause. A crack that is not seen may still be there, so
   * that not seeing it clears only so much. Nearly always where nothing is said.
   */
  readonly seen?: UsualWord | undefined;
}

/** How often an option cures a cause, and why. */
export interface Cure {
  readonly option: OptionId;
  readonly word: UsualWord;
  readonly why: string;
}

/** How far the best cure of a cause goes before it is back, whatever was done: deposit coats a new body too. */
export interface Returns {
  readonly km: number;
  readonly h: number;
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
  /** Kinds of unit at which it sits; empty for what lies elsewhere on the engine. */
  readonly homes: readonly UnitObjectKind[];
  /** Only where there are at least so many units of its kinds: one body cannot be out of balance. */
  readonly leastUnits: number;
  /** Checks that settle it: before one of them was made it is likely at most. */
  readonly decides: readonly string[];
  /** What cures it. An option that is not listed never does. */
  readonly cures: readonly Cure[];
  /** Null for what does not come back by itself. */
  readonly returns: Returns | null;
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
  'valve-off': { name: 'idle valve off', minutes: 12 },
  'unit-off': { name: 'unit off', minutes: 35 },
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
  readonly usually: Readonly<Record<string, UsualWord>>;
  /** Kinds of unit of which it is a look at one; empty for what is told or measured of the whole engine. */
  readonly of: readonly UnitObjectKind[];
  readonly groups: readonly Group[] | null;
  readonly needsValve: boolean;
  /** Codes that speak for an outcome: code or its first four characters → outcome id. */
  readonly codes: Readonly<Record<string, string>>;
  readonly method: Method | null;
}

/** Signs that are several views of one observation: weighed once, by the one that says most. */
export interface SignGroup {
  readonly id: string;
  readonly name: string;
  readonly signs: readonly string[];
  readonly why: string;
}

/** What a shop has given words and a sign of its own: a maker’s code, or how its people say something. */
export interface OwnCode {
  readonly code: string;
  readonly meaning: string;
  /** Null when it has words but says nothing of a cause. */
  readonly sign: string | null;
  readonly outcome: string | null;
}
/** A phrase that the shop has taught: what it stands for. */
export interface OwnPhrase {
  readonly phrase: string;
  readonly sign: string;
  readonly outcome: string;
}

/** All that is known, as plain data: versioned, shown, and adjusted by a lead. */
export interface Knowledge {
  readonly version: number;
  /** Which edition of what ships with the program it was made from. */
  readonly edition: number;
  readonly causes: readonly Cause[];
  readonly signs: readonly Sign[];
  readonly groups: readonly SignGroup[];
  readonly ownCodes: readonly OwnCode[];
  readonly ownPhrases: readonly OwnPhrase[];
  /** Pairs of findings that cannot both be; each `sign=outcome`. */
  readonly conflicts: readonly (readonly [string, string])[];
}

/** A finding as the ranking sees it. */
export interface Finding {
  readonly sign: string;
  readonly outcome: string;
  /** The unit at which it was found; absent for what is told or measured of the whole engine. */
  readonly unit?: UnitRef | null | undefined;
  /** What it still counts, 0 to 1, as a share of its bits: an old code, or an attempt long ago. 1 where absent. */
  readonly weight?: number | undefined;
}

/** A cause at one unit made ready for one subject: prior 0 to 1, and the chance of every outcome of every sign. */
export interface CauseModel {
  /** The cause, and where there are several units of its kinds `cause@kind:place`. */
  readonly id: string;
  /** The cause of the knowledge; the id where absent. */
  readonly cause?: string | undefined;
  /** The unit that is meant; absent where there is only one, or where it lies elsewhere. */
  readonly unit?: UnitRef | null | undefined;
  readonly prior: number;
  readonly chances: ReadonlyMap<string, Readonly<Record<string, number>>>;
  /** What each sign usually shows: the chance of a finding made at another unit. */
  readonly elsewhere?: ReadonlyMap<string, Readonly<Record<string, number>>> | undefined;
  /** `sign=outcome` that proves it. */
  readonly provedBy?: ReadonlySet<string> | undefined;
  /** `sign=outcome` that rules it out. */
  readonly ruledOutBy?: ReadonlySet<string> | undefined;
  /** Checks that settle it. */
  readonly decides?: readonly string[] | undefined;
  /** The group of each sign that is one view of several. */
  readonly groupOf?: ReadonlyMap<string, string> | undefined;
}
