/** While something soaks, cures or warms up, practice time runs so many times as fast as the world. */
export const FAST = 20;

/** The practice clock at a moment of the world's. Times in ms since 1970. */
export interface ClockMark {
  /** By the practice clock. */
  readonly at: number;
  /** By the world's clock; null while it stands still. */
  readonly world: number | null;
  /** Until this practice time it runs fast. */
  readonly fastUntil: number;
}

/** What the practice clock shows. @param world ms since 1970, by the world's clock */
export function practiceTime({ at, world: since, fastUntil }: ClockMark, world: number): number {
  if (since === null) return at;
  const passed = Math.max(0, world - since);
  const fastNeeds = Math.max(0, fastUntil - at) / FAST;
  return passed < fastNeeds ? at + passed * FAST : Math.max(at, fastUntil) + (passed - fastNeeds);
}

/** The same clock some minutes on: what takes its time in the world takes none here. */
export const movedOn = (mark: ClockMark, world: number, minutes: number): ClockMark => ({
  ...markedAnew(mark, world, {}),
  at: practiceTime(mark, world) + minutes * 60_000,
});

/** The same clock, marked anew now: with another time until which it runs fast, or stopped. */
export const markedAnew = (
  mark: ClockMark,
  world: number,
  { fastUntil = mark.fastUntil, stopped = false }: { fastUntil?: number; stopped?: boolean },
): ClockMark => ({ at: practiceTime(mark, world), world: stopped ? null : world, fastUntil });
