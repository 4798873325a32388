import type { Stage } from '../../job/index.ts';

/** A piece of the work that is left on a job, in its order. */
export interface LeftStretch {
  /** Stays the same while the job goes on, so that what was said of it holds: `strip`, `refit-2`. */
  readonly id: string;
  readonly kind: 'hands' | 'wait';
  readonly stage: Stage;
  /** A few words for a block: “strip”, “body soaks”. */
  readonly words: string;
  /** Expected by the procedure, the method and the recipe, zero or more. */
  readonly minutes: number;
  /** Standard deviation of the logarithm of what it takes; zero for a wait. */
  readonly spread: number;
  /** A wait that runs already: when it ends, ISO. */
  readonly until: string | null;
  /** It cannot begin before the parts that are missing are here. */
  readonly wantsParts: boolean;
  /** Figures, N·m, of the fasteners that a torque wrench is needed for. */
  readonly torquesNm: readonly number[];
  /** The maker's tool or the adapter is needed for it. */
  readonly scanTool: boolean;
}

/** Spread of work that nobody has timed, as models of estimates have it: a seized clamp is common. */
export const UNTIMED_SPREAD = 0.35;

/** No piece is longer than this: nobody works four hours without looking up, and days end. */
export const LONGEST_PIECE = 90;

/** A piece by hand. */
export const byHand = (
  id: string,
  stage: Stage,
  words: string,
  minutes: number,
  more: Partial<LeftStretch> = {},
): LeftStretch => ({
  id,
  kind: 'hands',
  stage,
  words,
  minutes,
  spread: UNTIMED_SPREAD,
  until: null,
  wantsParts: false,
  torquesNm: [],
  scanTool: false,
  ...more,
});

/** A wait that needs nobody. */
export const wait = (
  id: string,
  stage: Stage,
  words: string,
  minutes: number,
  until: string | null = null,
): LeftStretch => ({
  ...byHand(id, stage, words, minutes, { until, spread: 0 }),
  kind: 'wait',
});

/** Long work in pieces of about the same length, numbered from the second on. */
export function pieces(stretch: LeftStretch): LeftStretch[] {
  const count = Math.ceil(stretch.minutes / LONGEST_PIECE);
  if (stretch.kind === 'wait' || count <= 1) return [stretch];
  return Array.from({ length: count }, (_, nth) => ({
    ...stretch,
    id: nth === 0 ? stretch.id : `${stretch.id}-${nth + 1}`,
    minutes: stretch.minutes / count,
    // Nothing is tightened to a figure before the end.
    torquesNm: nth === count - 1 ? stretch.torquesNm : [],
  }));
}
