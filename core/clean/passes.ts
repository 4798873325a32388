/** The kinds of pass, in the order in which a round goes. Ids are stored: never change one. */
export const PASS_KINDS = {
  protect: 'Protect: sensors off or taped, bearing sides dry',
  wet: 'First wet',
  soak: 'Soak',
  brush: 'Brush, soft',
  scrape: 'Scrape, bare metal only',
  wipe: 'Wipe',
  bath: 'Bath',
  rinse: 'Rinse',
  dry: 'Dry',
} as const;

/** Those whose name says more than fits on a tag. */
const SHORT_PASSES: Readonly<Partial<Record<PassKind, string>>> = {
  protect: 'Protect',
  brush: 'Brush',
  scrape: 'Scrape',
};

/** The id of a pass. */
export type PassKind = keyof typeof PASS_KINDS;

/** A pass in one or two words: “Brush”, “First wet”. */
export const passName = (kind: PassKind): string => SHORT_PASSES[kind] ?? PASS_KINDS[kind];

/** A round of passes and what ends it. */
export interface Rounds {
  readonly round: readonly PassKind[];
  /** After the last round, before drying. */
  readonly end: readonly PassKind[];
}

/** The common way. */
export const WET_ROUNDS: Rounds = { round: ['wet', 'soak', 'brush', 'wipe'], end: ['dry'] };

/** What was seen since the last round ended. */
export interface Seen {
  /** Worst deposit grade, 0 (clean) to 4 (coked), or null when not graded since. */
  readonly grade: number | null;
  /** Whether light shows evenly round the closed plate; null when it was not looked at or does not apply. */
  readonly lightEven: boolean | null;
}

/** Good enough to dry: at most a film, and light where it should be. */
export const isClean = ({ grade, lightEven }: Seen): boolean => grade !== null && grade <= 1 && lightEven !== false;

/**
 * How far the present round is: the index in it of the last pass, −1 before the first. A kind may come twice in a round
 * (wipe, brush, wipe), so the passes are followed from the beginning. What does not belong to the round begins it anew.
 */
export function placeInRound(done: readonly PassKind[], round: readonly PassKind[]): number {
  let place = -1;
  for (const kind of done) {
    const from = place === round.length - 1 ? -1 : place;
    place = round[from + 1] === kind ? from + 1 : round.indexOf(kind);
  }
  return place;
}

/**
 * The pass that comes next: protect once, then rounds until grade and light say so, then the end. Null when dry.
 * @param done the passes so far, in order
 * @param seen what was seen since the last round ended
 */
export function nextPass(done: readonly PassKind[], seen: Seen, { round, end }: Rounds = WET_ROUNDS): PassKind | null {
  if (done.length === 0) return 'protect';
  const last = done.at(-1);
  if (last === 'dry') return null;
  const ending = last === undefined ? -1 : end.indexOf(last);
  if (ending >= 0) return end[ending + 1] ?? null;
  const next = round[placeInRound(done, round) + 1];
  if (next !== undefined) return next;
  // The round is over: what was seen decides.
  return isClean(seen) ? (end[0] ?? null) : (round[0] ?? null);
}
