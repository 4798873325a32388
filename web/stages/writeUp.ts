import { addDays, dayOf, instantsAt, isDay, offsetWords, sayTime } from '../../core/days/index.ts';
import { judgeTime } from '../../core/job/index.ts';

/** An instant that a picked day and time may mean. */
export interface Instant {
  readonly at: string;
  readonly words: string;
}

/** What a picked day and time come to: one instant, two in the hour that exists twice, or why none. */
export type WriteUp =
  { readonly ok: true; readonly instants: readonly Instant[] } | { readonly ok: false; readonly message: string };

/**
 * The instant that entries are written up for.
 * @param day ISO day @param time `16:40` by the clock on the wall
 * @param shop where the shop is, what the time is, and since when it knows the vehicle
 */
export function writeUpFor(
  day: string,
  time: string,
  shop: { readonly timeZone: string; readonly now: string; readonly knownSince: string | null },
): WriteUp {
  const [, hours, minutes] = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/.exec(time.trim()) ?? [];
  if (!isDay(day) || hours === undefined) return { ok: false, message: 'Pick the day, and a time such as 16:40.' };
  const found = instantsAt({ day, minute: Number(hours) * 60 + Number(minutes) }, shop.timeZone);
  if (found.length === 0)
    return { ok: false, message: `There was no ${time} that day: the clocks went forward over it.` };
  const wrong = found
    .map((at) => judgeTime({ ...shop, at, arrivedAt: shop.now, late: 'written-up' }))
    .find((refusal) => refusal !== null);
  if (wrong !== undefined) return { ok: false, message: `${wrong.message} ${wrong.wouldHelp}` };
  return {
    ok: true,
    instants: found.map((at) => ({
      at,
      words: found.length === 1 ? sayTime(at, shop.timeZone) : `${time}, ${offsetWords(at, shop.timeZone)}`,
    })),
  };
}

/** Yesterday, which is what most writing up is for. */
export const yesterday = (now: string, timeZone: string): string => addDays(dayOf(now, timeZone), -1);
