import type { Stamp } from '../stamp.ts';

/** An entry that was struck or put right: what it said stays legible. */
export interface StruckEntry extends Stamp {
  readonly seqs: readonly number[];
  /** The name of its fact. */
  readonly type: string;
  /** The record it made, or empty where it made none with an id of its own. */
  readonly id: string;
  /** What it said, in the words of the log. */
  readonly words: string;
  /** When it was entered and by whom. */
  readonly entered: Stamp;
  /** How many entries that count were before it. */
  readonly place: number;
  readonly why: string;
  /** What it says now; empty where it was struck. */
  readonly instead: string;
}

/** An entry whose time was put right. */
export interface MovedEntry extends Stamp {
  readonly words: string;
  readonly was: string;
  readonly is: string;
  readonly why: string;
}

/** What was put right. */
export interface EntriesState {
  readonly struck: readonly StruckEntry[];
  readonly moved: readonly MovedEntry[];
}

/** Before anything was put right. */
export const FRESH_ENTRIES: EntriesState = { struck: [], moved: [] };
