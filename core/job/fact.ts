import type { Shape, TypeOf } from '../shape/index.ts';
import type { Job } from './job.ts';
import type { SheetTitle } from './sheetTitles.ts';
import type { Stamp } from './stamp.ts';

/** A fact that a command led to, before it is recorded: its name, the version of its shape, and what it holds. */
export interface MadeFact {
  readonly type: string;
  readonly v: number;
  readonly data: unknown;
}

/** How a version of before is read: its shape then, and how what it holds is brought up to the next version. */
export interface EarlierVersion {
  readonly shape: Shape<unknown>;
  /** @param job the state before the fact: what a version of before left to be worked out may need it */
  readonly bringUp: (data: never, job: Job | null, stamp: Stamp) => unknown;
}

/** One way of undoing: see {@link FactSpec.undo}. */
export type UndoWay = 'final' | { readonly keeps: readonly (keyof Job)[] };

/** Where a fact stands on the sheet: in which section, or why in none. */
export type SheetPlace = SheetTitle | { readonly no: string };

/** What is said of a fact, once, where it is declared. */
export interface FactSpec<S extends Shape<unknown>> {
  /** What it holds: values as entered, with the SI value beside where it is computed with. Always whole. */
  readonly shape: S;
  /** Earlier versions, oldest first; the current version is one more than there are. */
  readonly earlier?: readonly EarlierVersion[];
  /** What it changes. Pure; parts that stay keep their identity. */
  readonly means: (job: Job, data: TypeOf<S>, stamp: Stamp) => Partial<Job>;
  /** A few words for the tally and the log. @param job the state before it */
  readonly words: (data: TypeOf<S>, job: Job) => string;
  /** Where it stands on the sheet. */
  readonly sheet: SheetPlace;
  /**
   * How it is taken back. Left out: undo takes it back whole. `final`: undo goes no further. `keeps`: undo passes over
   * it, and these parts of the job stay as they are; it is not the last action either.
   */
  readonly undo?: UndoWay;
  /**
   * The item it is about, or null. Two stations conflict only where both are about one item, and time between one
   * person's entries goes to that item.
   */
  readonly about?: (data: TypeOf<S>, job: Job) => string | null;
  /** Which way the item was going; left out when the time spent belongs to neither. */
  readonly way?: 'off' | 'back';
  /** How its entry is put right where it stands; left out: by undo, or in a way of its own subject. */
  readonly putRight?: PutRight<TypeOf<S>>;
}

/** A field of an entry that can be put right in words. */
export interface CorrectedField {
  readonly label: string;
  /** What each choice is called; for a field that is picked. */
  readonly choices?: Readonly<Record<string, string>>;
  /** In minor units of the shop's currency. */
  readonly money?: true;
  /** The field of the command that keeps it as it was typed. */
  readonly typedInto?: string;
}

/** How an entry is put right. It can always be struck. */
export interface PutRight<D> {
  /** The command that says it anew; left out: it is struck and entered again in its own place. */
  readonly anew?: {
    readonly command: string;
    /** What the command would hold to say the same again. */
    readonly from: (data: D) => Readonly<Record<string, unknown>>;
    /** The fields of the command that a person may put right. */
    readonly fields: Readonly<Record<string, CorrectedField>>;
  };
}

/** A declared fact. */
export interface Fact<K extends string, S extends Shape<unknown>> extends FactSpec<S> {
  readonly type: K;
  /** The current version of its shape. */
  readonly v: number;
  /** Makes one. */
  readonly of: (data: TypeOf<S>) => MadeFact;
}

/** Any declared fact, for programs that go over all of them. */
export interface AnyFact {
  readonly type: string;
  readonly v: number;
  readonly shape: Shape<unknown>;
  readonly earlier?: readonly EarlierVersion[];
  readonly means: (job: Job, data: never, stamp: Stamp) => Partial<Job>;
  readonly words: (data: never, job: Job) => string;
  readonly sheet: SheetPlace;
  readonly undo?: UndoWay;
  readonly about?: (data: never, job: Job) => string | null;
  readonly way?: 'off' | 'back';
  readonly putRight?: PutRight<never>;
}

/**
 * Declares a fact: the one place that says what it holds, what it means, how it reads and how it is taken back.
 * @param type its name in the log, in the past tense; never changed once it has been used
 */
export function fact<const K extends string, S extends Shape<unknown>>(type: K, spec: FactSpec<S>): Fact<K, S> {
  const v = (spec.earlier ?? []).length + 1;
  return { ...spec, type, v, of: (data) => ({ type, v, data }) };
}

/** Declares an earlier version. @param bringUp what it holds by the next version of its shape */
export const earlier = <S extends Shape<unknown>>(
  shape: S,
  bringUp: (data: TypeOf<S>, job: Job | null, stamp: Stamp) => unknown,
): EarlierVersion => ({ shape, bringUp });

/** What a job keeps of a fact: what it holds, with who and when. */
export type Recorded<S extends Shape<unknown>> = Stamp & TypeOf<S>;
