/** A run is a timed procedure described as data: bleeding the coolant, teaching the idle, a drive. */

export type RunStepKind = 'key' | 'pedal' | 'wait' | 'hold rpm' | 'idle until' | 'drive' | 'tool' | 'check';

/** What a person can type in while a run goes on. */
export type ReadingName = 'ect' | 'rpm' | 'speed';
/** What is or is not the case; ticked by the person. */
export type FlagName = 'loads-off' | 'fan-running' | 'bubbles' | 'heater-hot';

/** Something that must hold for the step's time to count. */
export type RunCondition =
  | {
      readonly kind: 'reading';
      readonly name: ReadingName;
      readonly low: number | null;
      readonly high: number | null;
      readonly words: string;
    }
  | { readonly kind: 'flag'; readonly name: FlagName; readonly on: boolean; readonly words: string };

/** A reading that ends the attempt, and where to go on then. */
export interface BadEnd {
  readonly name: ReadingName;
  readonly below: number | null;
  readonly above: number | null;
  readonly words: string;
  /** The step to go back to; null ends the run. */
  readonly goTo: string | null;
}

export interface RunStep {
  readonly id: string;
  readonly kind: RunStepKind;
  readonly title: string;
  readonly how: string;
  /** Seconds to hold, or null when it is done as soon as it is confirmed. */
  readonly seconds: number | null;
  readonly conditions: readonly RunCondition[];
  /** Time does not count while any of these is on. */
  readonly pausedBy: readonly FlagName[];
  readonly endsBadly: BadEnd | null;
}

/** A run's description. */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly purpose: 'bleed' | 'relearn';
  /** Where it comes from; null is a shop figure to be verified. */
  readonly source: string | null;
  readonly steps: readonly RunStep[];
}

/** A run in progress. Everything is in here, so that it survives a reload: the clock is the events' own times. */
export interface Run {
  readonly recipe: Recipe;
  /** Index into the recipe's steps; equals its length when complete. */
  readonly at: number;
  readonly status: 'running' | 'complete' | 'ended badly';
  /** Seconds that have counted in this step, up to `asOf`. */
  readonly counted: number;
  /** Time of the last input, ISO. */
  readonly asOf: string;
  readonly readings: Readonly<Partial<Record<ReadingName, number>>>;
  readonly flags: Readonly<Partial<Record<FlagName, boolean>>>;
  /** The last sentence for the person: why it went back, or how it ended. */
  readonly said: string;
}

/** What can happen to a run. `at` is an ISO time. */
export type RunInput =
  | { readonly kind: 'confirm'; readonly at: string }
  | { readonly kind: 'tick'; readonly at: string }
  | { readonly kind: 'reading'; readonly at: string; readonly name: ReadingName; readonly value: number }
  | { readonly kind: 'flag'; readonly at: string; readonly name: FlagName; readonly on: boolean };
