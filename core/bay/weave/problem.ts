/** A stretch of time, minutes since the plan's own beginning. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** Work that needs a person. */
export interface HandsOn {
  readonly id: string;
  readonly kind: 'hands';
  /** More than zero. */
  readonly minutes: number;
  /** What whoever does it must be able to; absent where anybody can. */
  readonly skill?: string;
  /** A tool of which there is one. */
  readonly tool?: string;
  /** Not before: a part has its day. */
  readonly from?: number;
}

/** A wait that needs nobody: it begins the moment what comes before it ends. */
export interface Waiting {
  readonly id: string;
  readonly kind: 'wait';
  /** More than zero. */
  readonly minutes: number;
}

/** One piece of the work on a vehicle, in its order. */
export type Stretch = HandsOn | Waiting;

/** A vehicle with what is left to be done on it. */
export interface WeaveJob {
  readonly id: string;
  readonly stretches: readonly Stretch[];
  /** Whether it stands in a bay from its first stretch in hand to its end. */
  readonly bay: boolean;
  /** When it was promised; null for no time in particular. */
  readonly promised: number | null;
  /** What a minute late costs. */
  readonly weight: number;
}

/** Somebody who works, with what they can and when they are here. */
export interface Worker {
  readonly id: string;
  readonly skills: readonly string[];
  /** Rising, apart. */
  readonly hours: readonly Span[];
}

/** The day to be planned. */
export interface WeaveProblem {
  readonly jobs: readonly WeaveJob[];
  readonly people: readonly Worker[];
  /** How many vehicles stand inside at a time. */
  readonly bays: number;
  /** Nothing is planned before it. */
  readonly now: number;
}

/** A stretch in its place. */
export interface Block {
  readonly job: string;
  readonly stretch: string;
  readonly kind: Stretch['kind'];
  readonly start: number;
  readonly end: number;
  /** Null for a wait. */
  readonly person: string | null;
}

/** Why a vehicle cannot be planned at all, for a sentence. */
export interface NoPlace {
  readonly job: string;
  readonly stretch: string;
  readonly why: 'nobody-can' | 'no-hours' | 'too-long' | 'no-bay';
}
