import type { ReadingName } from './readings.ts';
import type { Recipe } from './shape.ts';

/** A run in progress. Everything is in here, so that it survives a reload: the clock is the entries' own times. */
export interface Run {
  readonly recipe: Recipe;
  /** Index into the recipe's steps; equals its length when complete. */
  readonly at: number;
  readonly status: 'running' | 'complete' | 'ended badly';
  /** Seconds that have counted in this step, up to `asOf`. */
  readonly counted: number;
  /** Time of the last input, ISO. */
  readonly asOf: string;
  /** The last reading of each, in the unit of {@link READINGS}. */
  readonly readings: Readonly<Partial<Record<ReadingName, number>>>;
  readonly flags: Readonly<Record<string, boolean>>;
  /** How often a step that is repeated has been done in the present turn, by its id. */
  readonly rounds: Readonly<Record<string, number>>;
  /** Steps that were passed over, with why, in the order in which it happened. */
  readonly leftOut: readonly { readonly step: string; readonly why: string }[];
  /** What was typed at a step that asks for it, the last of each. */
  readonly texts: readonly { readonly step: string; readonly text: string }[];
  /** The last sentence for the person: why it went back, or how it ended. */
  readonly said: string;
}

/** What can happen to a run. `at` is an ISO time. */
export type RunInput =
  /** The step is done. @property answer which of the step's answers it was; @property text what it asks for */
  | {
      readonly kind: 'confirm';
      readonly at: string;
      readonly answer?: number | undefined;
      readonly text?: string | undefined;
    }
  | { readonly kind: 'tick'; readonly at: string }
  | { readonly kind: 'reading'; readonly at: string; readonly name: ReadingName; readonly value: number }
  | { readonly kind: 'flag'; readonly at: string; readonly name: string; readonly on: boolean }
  /** One of the step's other ways. */
  | { readonly kind: 'instead'; readonly at: string; readonly answer: number }
  /** The step is left out; where it asks, with the answer that stands for it. */
  | { readonly kind: 'leave-out'; readonly at: string; readonly why: string; readonly answer?: number | undefined };
