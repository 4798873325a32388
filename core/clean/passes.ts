/** The kinds of pass, in the order in which a round goes. */
export const PASS_KINDS = {
  protect: 'Protect: sensors off or taped, bearing sides dry',
  wet: 'First wet',
  soak: 'Soak',
  brush: 'Brush, soft',
  wipe: 'Wipe',
  dry: 'Dry',
} as const;

/** The id of a pass. */
export type PassKind = keyof typeof PASS_KINDS;

/** Minutes a soak is proposed to take; a shop convention, to be shortened or prolonged at the bench. */
export const SOAK_MINUTES: Readonly<Record<'throttle-body' | 'idle-valve', number>> = {
  'throttle-body': 10,
  'idle-valve': 25,
};

const ROUND: readonly PassKind[] = ['wet', 'soak', 'brush', 'wipe'];

/**
 * The pass that comes next: protect once, then rounds of wet, soak, brush and wipe until the deposit grade is 0 or 1,
 * then dry. Null when dry.
 * @param done the passes so far, in order
 * @param grade the last deposit grade recorded, 0 (clean) to 4 (coked), or null when not graded since the last wipe
 */
export function nextPass(done: readonly PassKind[], grade: number | null): PassKind | null {
  if (done.length === 0) return 'protect';
  const last = done.at(-1);
  if (last === 'dry') return null;
  if (last === 'wipe') return grade !== null && grade <= 1 ? 'dry' : 'wet';
  const place = last === undefined ? -1 : ROUND.indexOf(last);
  return ROUND[place + 1] ?? 'wet';
}
