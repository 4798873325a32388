import type { AskedPrice, ChooseInput, Flip } from '../../core/choose/index.ts';
import type { Access, Finding, Knowledge, Score, Subject } from '../../core/diagnose/index.ts';
import type { StoredCase } from '../../contract/index.ts';

/** What the judging worker is asked. A knowledge is sent once; later messages name its version. */
export type JudgingTask =
  | { readonly kind: 'knowledge'; readonly knowledge: Knowledge }
  | {
      readonly kind: 'worth';
      readonly id: number;
      readonly version: number;
      readonly subject: Subject;
      readonly findings: readonly Finding[];
      readonly choose: ChooseInput;
      readonly minutePrice: number;
      readonly reached: readonly Access[];
      readonly passedOver: readonly string[];
    }
  /** Where the choice flips: over the price of one way, over the chance of another, and at what prices that nobody gave. */
  | {
      readonly kind: 'flips';
      readonly id: number;
      readonly version: number;
      readonly choose: ChooseInput;
      readonly priceOf: string | null;
      readonly chanceOf: string | null;
    }
  | {
      readonly kind: 'score';
      readonly id: number;
      readonly version: number;
      readonly cases: readonly StoredCase[];
      readonly minutePrice: number;
    };

/** What a check is worth, as it comes back: the sign by its id. */
export interface WorthFound {
  readonly sign: string;
  readonly worthMinor: number;
  readonly savesMinor: number;
  readonly turns: readonly { readonly outcome: string; readonly way: string }[];
  readonly opens: string | null;
}

/** How one set of written cases comes out, against a fixed list. */
export interface CaseScore {
  readonly guided: Score;
  readonly list: Score;
  readonly cases: readonly {
    readonly id: string;
    readonly title: string;
    readonly truth: readonly string[];
    readonly placeTold: number;
    readonly placeAll: number;
    readonly checks: number;
    readonly minutes: number;
    readonly listMinutes: number;
  }[];
}

/** What the worker answers. */
export type JudgingAnswer =
  | { readonly kind: 'worth'; readonly id: number; readonly worths: readonly WorthFound[] }
  | {
      readonly kind: 'flips';
      readonly id: number;
      readonly price: Flip | null;
      readonly chance: Flip | null;
      readonly asked: readonly AskedPrice[];
    }
  | { readonly kind: 'scored'; readonly id: number; readonly done: number; readonly of: number }
  | {
      readonly kind: 'score';
      readonly id: number;
      readonly work: CaseScore | null;
      readonly apart: CaseScore | null;
    };
