import type { Stage } from '../../job/index.ts';
import type { Calendar, Hours } from '../../prepare/index.ts';
import type { Wrench } from '../../torque/index.ts';
import type { LeftStretch } from '../left/left.ts';
import type { Skill } from '../left/skills.ts';

/** A day, or half of one, on which somebody is not here. */
export interface Absence {
  readonly id: string;
  /** Null for everybody: the shop is shut. */
  readonly personId: string | null;
  /** ISO days, both ends inclusive. */
  readonly from: string;
  readonly to: string;
  readonly part: 'day' | 'morning' | 'afternoon';
  readonly why: string;
}

/** A day on which somebody stays longer than usual. */
export interface LongerDay {
  readonly personId: string;
  /** ISO day. */
  readonly day: string;
  /** Minutes since midnight. */
  readonly until: number;
}

/** Somebody who can be given work. */
export interface DayPerson {
  readonly id: string;
  readonly does: readonly Skill[];
  /** Seven entries from Monday; null where they are here whenever the shop is open. */
  readonly hours: readonly (Hours | null)[] | null;
}

/** An open job as the day sees it. */
export interface DayJob {
  readonly jobId: string;
  readonly left: readonly LeftStretch[];
  readonly needsBay: boolean;
  readonly inside: boolean;
  /** When it was promised, ISO; null for no time in particular. */
  readonly promised: string | null;
  /** Who worked on it last; null before anybody did. */
  readonly lastBy: string | null;
  /** Who has it. */
  readonly assigned: string | null;
  /** It rests; until which ISO day, or until somebody takes it up. */
  readonly aside: { readonly until: string | null } | null;
  /** A part that is on its way, and the ISO day on which it is expected. */
  readonly part: { readonly name: string; readonly expected: string | null } | null;
}

/** What somebody has said of a stretch: who does it, and when it begins. */
export interface Wish {
  readonly jobId: string;
  readonly stretch: string;
  /** ISO; null where only the person was said. */
  readonly at: string | null;
  readonly personId: string | null;
}

/** A stretch of a plan as it is kept. */
export interface PlannedBlock {
  readonly jobId: string;
  readonly stretch: string;
  readonly kind: 'hands' | 'wait';
  /** ISO times. */
  readonly from: string;
  readonly to: string;
  readonly personId: string | null;
}

/** How a shop's own finished jobs went at one stage, against what was expected of them. */
export interface StagePace {
  readonly stage: Stage;
  /** Finished jobs that it is from. */
  readonly jobs: number;
  /** What it takes as a share of what was expected, already pulled towards 1 where there are few. */
  readonly factor: number;
  /** Standard deviation of the logarithm of that share. */
  readonly spread: number;
}

/** Everything that a day is woven from. */
export interface DayInput {
  /** ISO time. */
  readonly now: string;
  readonly timeZone: string;
  readonly calendar: Calendar;
  /** When nobody works though the shop is open; null for no such hour. */
  readonly pause: Hours | null;
  /** Vehicles that stand inside at a time. */
  readonly bays: number;
  readonly people: readonly DayPerson[];
  readonly absences: readonly Absence[];
  readonly longer: readonly LongerDay[];
  readonly jobs: readonly DayJob[];
  readonly wishes: readonly Wish[];
  readonly wrenches: readonly Wrench[];
  readonly pace: readonly StagePace[];
  /** The plan that is kept. */
  readonly before: readonly PlannedBlock[];
}

/** A vehicle, or the rest of its work, that is not planned, and why. */
export interface NotPlanned {
  readonly jobId: string;
  readonly why: 'rests' | 'part-without-day' | 'nothing-left';
  /** The part that is waited for. */
  readonly part: string;
}
