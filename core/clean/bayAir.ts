import { SAFETY, type Safety } from './safety.ts';
import type { Substance } from './substances.ts';
import { AIRING_THRESHOLDS, filling, ppmOf, shares } from './vapour.ts';

/** Cleaner let into the air of the bay. Minutes run on any one clock. */
export interface Release {
  /** When the spraying ended. */
  readonly endMinute: number;
  /** How long it took; 0 for all at once. */
  readonly minutes: number;
  readonly grams: number;
  readonly substance: Substance;
  readonly safety?: Safety | null | undefined;
}

/** From this minute on the air changes so many times an hour, until the next entry. */
export interface Airing {
  readonly fromMinute: number;
  readonly airChanges: number;
}

/** The air at one moment: shares of the limits, all substances together. */
export interface AirState {
  readonly minute: number;
  /** Sum over substances of concentration ÷ exposure limit (additivity, ACGIH TLV booklet, mixtures). */
  readonly exposure: number;
  /** Sum of concentration ÷ explosive limit (Le Chatelier's rule for mixtures). */
  readonly explosive: number;
  readonly mgPerM3: number;
  readonly ppm: number;
}

/** The air of the bay from what was sprayed and how it was aired. */
export interface BayAir {
  readonly at: (minute: number) => AirState;
  /** Minutes from `now` until below both thresholds if the air goes on changing as it does; null when it never will. */
  readonly airingFrom: (now: number) => number | null;
}

/** Whether the air must be changed before anybody works on in it. */
export const isOver = ({ exposure, explosive }: Pick<AirState, 'exposure' | 'explosive'>): boolean =>
  exposure > AIRING_THRESHOLDS.exposure || explosive > AIRING_THRESHOLDS.explosive;

/** What the walls and doors of a bay let through, air changes an hour: shop conventions, to be set for the own bay. */
export const USUAL_AIRING = { shut: 0.5, door: 6, fan: 12, both: 20 } as const;
/** How the bay is aired. */
export type AiringState = keyof typeof USUAL_AIRING;

/**
 * Well-mixed air with several releases and changing air: the equation is linear, so each release is followed for itself
 * through the stretches of constant air, and the shares add up.
 * @param airings in order of time; before the first the air stands still
 * @throws RangeError for a room without volume
 */
export function bayAir(releases: readonly Release[], airings: readonly Airing[], roomVolume: number): BayAir {
  if (!(roomVolume > 0)) throw new RangeError(`Expected a room of more than 0 m³, got ${roomVolume}.`);
  const rateAt = (minute: number): number =>
    (airings.filter(({ fromMinute }) => fromMinute <= minute).at(-1)?.airChanges ?? 0) / 60;
  const at = (minute: number): AirState => {
    const state = { minute, exposure: 0, explosive: 0, mgPerM3: 0, ppm: 0 };
    for (const release of releases) {
      const safety = release.safety ?? SAFETY[release.substance];
      if (safety === null) continue;
      const mg = remaining(release, safety, airings, minute, roomVolume);
      const ppm = ppmOf(mg, safety.molarMass);
      const share = shares(ppm, safety);
      state.mgPerM3 += mg;
      state.ppm += ppm;
      state.exposure += share.exposure ?? 0;
      state.explosive += share.explosive ?? 0;
    }
    return state;
  };
  const airingFrom = (now: number): number | null => {
    const { exposure, explosive } = at(now);
    const over = Math.max(exposure / AIRING_THRESHOLDS.exposure, explosive / AIRING_THRESHOLDS.explosive);
    if (over <= 1) return 0;
    const rate = rateAt(now);
    return rate === 0 ? null : Math.log(over) / rate;
  };
  return { at, airingFrom };
}

/** mg/m³ left of one release at a minute, stepping through the stretches of constant air exactly. */
function remaining(
  release: Release,
  safety: Safety,
  airings: readonly Airing[],
  minute: number,
  roomVolume: number,
): number {
  const start = release.endMinute - release.minutes;
  if (minute < start) return 0;
  const released = release.grams * 1000 * safety.evaporates;
  const edges = airings.map(({ fromMinute }) => fromMinute).filter((edge) => edge > start && edge < minute);
  const cuts = [...new Set([start, ...edges, ...(release.endMinute < minute ? [release.endMinute] : []), minute])].sort(
    (a, b) => a - b,
  );
  let mg = release.minutes === 0 ? released / roomVolume : 0;
  for (let index = 1; index < cuts.length; index += 1) {
    const from = cuts[index - 1] ?? start;
    const span = (cuts[index] ?? minute) - from;
    const rate = (airings.filter(({ fromMinute }) => fromMinute <= from).at(-1)?.airChanges ?? 0) / 60;
    const source = release.minutes > 0 && from < release.endMinute ? released / release.minutes / roomVolume : 0;
    // dC/dt = source − rate·C over a stretch in which both are constant.
    mg = mg * Math.exp(-rate * span) + source * filling(rate, span);
  }
  return mg;
}

const FRACTIONS: readonly (readonly [number, string])[] = [
  [0.1, 'a tenth'],
  [0.2, 'a fifth'],
  [0.25, 'a quarter'],
  [1 / 3, 'a third'],
  [0.5, 'half'],
  [2 / 3, 'two thirds'],
  [0.75, 'three quarters'],
  [0.9, 'nine tenths'],
];

/** A share of a limit in words: “about a third of it”, “1.8 times it”. @param share zero or more */
export function shareWords(share: number): string {
  if (share < 0.01) return 'next to nothing';
  if (share < 0.08) return 'a few hundredths of it';
  if (share > 1) return share < 10 ? `${share.toFixed(1)} times it` : `${Math.round(share)} times it`;
  if (share > 0.95) return 'all of it';
  const nearest = FRACTIONS.reduce((best, each) =>
    Math.abs(each[0] - share) < Math.abs(best[0] - share) ? each : best,
  );
  return `about ${nearest[1]} of it`;
}
