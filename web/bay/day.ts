import type { BayStretch } from '../../contract/index.ts';

/** The shown part of a day, ms since 1970. */
export interface Day {
  readonly from: number;
  readonly to: number;
}

const HOUR = 3_600_000;

/** The working day that holds a moment: 8 to 18, stretched to hold the moment itself. */
export function dayAround(now: number): Day {
  const start = new Date(now);
  start.setHours(8, 0, 0, 0);
  const end = new Date(now);
  end.setHours(18, 0, 0, 0);
  const whole = (time: number): number => Math.floor(time / HOUR) * HOUR;
  return {
    from: Math.min(start.getTime(), whole(now - HOUR / 2)),
    to: Math.max(end.getTime(), whole(now + 1.5 * HOUR)),
  };
}

/** Hour marks of a day. */
export function hoursOf({ from, to }: Day): number[] {
  return Array.from({ length: Math.floor((to - from) / HOUR) + 1 }, (_, index) => from + index * HOUR);
}

/** Where a moment lies on the day, 0 to 1, held to its ends. */
export const placeOf = (time: number, { from, to }: Day): number =>
  Math.min(1, Math.max(0, (time - from) / (to - from)));

/** The part of a stretch that lies in the day, as shares; null when none of it does. A tap alone still shows. */
export function shareOf(stretch: BayStretch, day: Day): { left: number; width: number } | null {
  const from = Date.parse(stretch.from);
  const to = Math.max(Date.parse(stretch.to), from + 4 * 60_000);
  if (to < day.from || from > day.to) return null;
  const left = placeOf(from, day);
  return { left, width: placeOf(to, day) - left };
}
