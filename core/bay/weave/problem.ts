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
  /** It can be done in the yard: it needs no bay by itself. */
  readonly outside?: boolean;
  /** Not before: a part has its day. */
  readonly from?: number;
  /** Whom somebody has asked to do it; nobody else does. */
  readonly given?: string;
  /** When somebody has said that it begins, for whoever it is given to: kept wherever what comes before allows it. */
  readonly pin?: number;
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
  /** Whether it stands in a bay from its first stretch in hand that is not done outside to its end. */
  readonly bay: boolean;
  /** Whether it stands in one now: it leaves before another takes its place. */
  readonly inside?: boolean;
  /** Who worked on it last, and knows where everything lies; absent where nobody did. */
  readonly last?: string;
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
  /** The plan that people have in their heads: a new one moves as little of it as it can. */
  readonly before?: readonly Block[];
}

/** How a stretch is known among those of all vehicles. */
export const stretchKey = (job: string, stretch: string): string => `${job}/${stretch}`;

/** A stretch has moved when it starts more than so many minutes elsewhere, or changes hands. */
export const MOVED_MINUTES = 5;

/** Whether a stretch lies elsewhere than it did, or with somebody else. */
export const hasMoved = (then: Block, now: Block): boolean =>
  Math.abs(then.start - now.start) > MOVED_MINUTES || then.person !== now.person;

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

/** A stretch that somebody has pinned, and that cannot begin then. */
export interface PushedPin {
  readonly job: string;
  readonly stretch: string;
  readonly pin: number;
}

/** Why a vehicle cannot be planned at all, for a sentence. */
export interface NoPlace {
  readonly job: string;
  readonly stretch: string;
  readonly why: 'nobody-can' | 'no-hours' | 'too-long' | 'no-bay';
}
