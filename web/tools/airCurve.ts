import type { BayAir } from '../../core/clean/index.ts';

/** The curve of the exposure share, in the drawing's units (720 × 270). */
export interface AirCurve {
  readonly top: number;
  readonly y: (share: number) => number;
  readonly nowX: number;
  readonly line: string;
  readonly past: string;
  readonly coming: string;
  readonly hours: readonly { readonly x: number; readonly words: string }[];
  readonly fromWords: string;
  readonly toWords: string;
}

const [LEFT, RIGHT, TOP, BOTTOM] = [54, 700, 16, 240];
/** Minutes before now that are drawn, and the least that is drawn of what comes. */
const BACK = 90;
const AHEAD = 60;
const POINTS = 160;

/** Draws the last hour and a half and what is to come until the air is fit again. @param now minutes on the air's clock */
export function curveOf(air: BayAir, now: number, airingMinutes: number): AirCurve {
  const from = now - BACK;
  const to = now + Math.min(360, Math.max(AHEAD, airingMinutes * 1.2));
  const minutes = Array.from({ length: POINTS + 1 }, (_, index) => from + ((to - from) * index) / POINTS);
  const shares = minutes.map((minute) => air.at(minute).exposure);
  const top = niceTop(Math.max(...shares));
  const x = (minute: number): number => LEFT + ((RIGHT - LEFT) * (minute - from)) / (to - from);
  const y = (share: number): number => BOTTOM - ((BOTTOM - TOP) * share) / top;
  const path = (until: (minute: number) => boolean): string =>
    minutes
      .flatMap((minute, index) =>
        until(minute) ? [`${x(minute).toFixed(1)} ${y(shares[index] ?? 0).toFixed(1)}`] : [],
      )
      .join('L');
  const line = path((minute) => minute <= now);
  const coming = path((minute) => minute >= now);
  const words = (minute: number): string =>
    Math.round(minute - now) === 0 ? 'now' : `${minute < now ? '−' : '+'}${Math.abs(Math.round(minute - now))} min`;
  const step = to - from > 300 ? 90 : 30;
  const hours = [];
  for (let minute = now - BACK; minute <= to; minute += step)
    // The words of the last mark stay inside the drawing.
    if (Math.abs(minute - now) > 1) hours.push({ x: Math.min(x(minute), RIGHT - 20), words: words(minute) });
  return {
    top,
    y,
    nowX: x(now),
    line: line === '' ? '' : `M${line}`,
    past: line === '' ? '' : `M${x(from)} ${y(0)}L${line}L${x(now)} ${y(0)}Z`,
    coming: coming === '' ? '' : `M${coming}`,
    hours,
    fromWords: words(from),
    toWords: words(to),
  };
}

/** The next round share above the highest: 10 %, 20 %, 50 %, 100 %, 200 % and so on. */
export function niceTop(highest: number): number {
  for (let power = 0.1; power < 1e6; power *= 10)
    for (const step of [1, 2, 5]) if (highest <= power * step * 0.95) return power * step;
  return highest;
}
