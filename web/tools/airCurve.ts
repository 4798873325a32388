import { type BayAir, shareWords } from '../../core/clean/index.ts';
import type { Curve } from '../charts/curve.ts';

/** Minutes before now that are drawn, and the least and the most that is drawn of what comes. */
const BACK = 90;
const AHEAD = { least: 60, most: 360 };
const POINTS = 80;

/**
 * The share of the exposure limit in the bay's air: the last hour and a half, and what is to come until it is fit again.
 * @param now minutes on the air's clock @param airingMinutes until it is fit, 0 when it is
 */
export function curveOf(air: BayAir, now: number, airingMinutes: number): Curve {
  const ahead = Math.min(AHEAD.most, Math.max(AHEAD.least, airingMinutes * 1.2));
  const step = ahead > 210 ? 90 : 30;
  // Up to the next whole step, so that the last tick is at the end.
  const to = Math.ceil(ahead / step) * step;
  const between = (from: number, until: number): { x: number; y: number }[] =>
    Array.from({ length: POINTS + 1 }, (_, index) => {
      const x = from + ((until - from) * index) / POINTS;
      return { x, y: air.at(now + x).exposure };
    });
  const past = between(-BACK, 0);
  const coming = between(0, to);
  const top = niceTop(Math.max(...[...past, ...coming].map(({ y }) => y)));
  return {
    words: `Share of the exposure limit from ${BACK} minutes ago, ${shareWords(past[0]?.y ?? 0)}, over now, ${shareWords(coming[0]?.y ?? 0)}, to ${to} minutes from now, ${shareWords(coming.at(-1)?.y ?? 0)}`,
    lines: [
      { name: 'So far', tone: 'brass', points: past, filled: true },
      { name: 'Expected', tone: 'brass', points: coming, expected: true },
    ],
    marks: [
      { axis: 'x', at: 0, words: 'now', tone: 'oxide' },
      ...(top >= 1 ? [{ axis: 'y' as const, at: 1, words: 'exposure limit', tone: 'alarm' as const }] : []),
    ],
    x: {
      name: 'When',
      from: -BACK,
      to,
      step,
      say: (x) => (Math.round(x) === 0 ? 'now' : `${x < 0 ? '−' : '+'}${Math.abs(Math.round(x))} min`),
    },
    y: { name: 'Of the limit', from: 0, to: top, step: top / 2, say: (y) => `${Math.round(y * 100)} %` },
  };
}

/** The next round share above the highest: 10 %, 20 %, 50 %, 100 %, 200 % and so on. */
export function niceTop(highest: number): number {
  for (let power = 0.1; power < 1e6; power *= 10)
    for (const step of [1, 2, 5]) if (highest <= power * step * 0.95) return power * step;
  return highest;
}
