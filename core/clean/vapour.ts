import { SAFETY, type Safety } from './safety.ts';
import type { Substance } from './substances.ts';

/** Molar volume of a gas at 25 °C and 1013 hPa, L/mol: the factor between mg/m³ and ppm (ISO 16000-1, ACGIH). */
export const MOLAR_VOLUME_L = 24.45;
/** Air is fit to work in below these: the whole exposure limit, and a tenth of the explosive limit as gas alarms are set. */
export const AIRING_THRESHOLDS = { exposure: 1, explosive: 0.1 } as const;
/** A reading at the face over a bench is commonly several times the mean of the room. Said in words, not computed with. */
export const NEAR_THE_FACE = 5;

/** ppm by volume of a concentration. @param mgPerM3 zero or more @param molarMass g/mol */
export const ppmOf = (mgPerM3: number, molarMass: number): number => (mgPerM3 * MOLAR_VOLUME_L) / molarMass;

/** What is asked of {@link vapour}. */
export interface VapourInput {
  /** Sprayed, grams, zero or more. */
  readonly grams: number;
  /** Over how many minutes; 0 for all at once. */
  readonly minutes: number;
  /** m³, more than zero. */
  readonly roomVolume: number;
  /** Air changes per hour, zero or more. */
  readonly airChanges: number;
  readonly substance: Substance;
  /** The product's own safety figures; the shipped ones by kind when absent. */
  readonly safety?: Safety | null | undefined;
}

/** The air of a room after one release. */
export interface Vapour {
  /** mg/m³ after so many minutes from the first spray. */
  readonly at: (minute: number) => number;
  readonly peakMgPerM3: number;
  /** Minutes from the first spray to the peak. */
  readonly peakAt: number;
  readonly peakPpm: number;
  /** Peak as share of the explosive limit and of the exposure limit; null where there is none. */
  readonly shareOfExplosive: number | null;
  readonly shareOfExposure: number | null;
  /** Minutes from the last spray until below both thresholds; 0 when never above; null when it never falls. */
  readonly airingMinutes: number | null;
}

/** A share of each limit. @param ppm in the room */
export function shares(ppm: number, safety: Safety): { explosive: number | null; exposure: number | null } {
  return {
    explosive: safety.lelPercent === null ? null : ppm / (safety.lelPercent * 10_000),
    exposure: safety.limitPpm === null ? null : ppm / safety.limitPpm,
  };
}

/**
 * Solvent vapour in one well-mixed room: while spraying C(t) = (E/Q)(1 − e^(−nt)), decay by e^(−nt) after, with E the
 * rate of release, n air changes per time and Q = nV. Without air changes C rises by E/V and stays. A well-mixed room is
 * the usual first estimate (e.g. EN 689 annex; Jayjock's box model); over the bench it is more.
 * @throws RangeError in words for what is out of range
 * @example 60 g of acetone all at once in 120 m³: 500 mg/m³, about 210 ppm
 */
export function vapour(input: VapourInput): Vapour {
  const { grams, minutes, roomVolume, airChanges } = input;
  const safety = input.safety ?? SAFETY[input.substance];
  if (!(grams >= 0)) throw new RangeError(`Expected 0 g or more, got ${grams}.`);
  if (!(minutes >= 0)) throw new RangeError(`Expected 0 minutes or more, got ${minutes}.`);
  if (!(roomVolume > 0)) throw new RangeError(`Expected a room of more than 0 m³, got ${roomVolume}.`);
  if (!(airChanges >= 0)) throw new RangeError(`Expected 0 air changes an hour or more, got ${airChanges}.`);
  const released = grams * 1000 * (safety?.evaporates ?? 0);
  const perMinute = airChanges / 60;
  const at = (minute: number): number => concentration(minute, released, minutes, roomVolume, perMinute);
  const peakMgPerM3 = at(minutes);
  const peakPpm = safety === null ? 0 : ppmOf(peakMgPerM3, safety.molarMass);
  const peak = safety === null ? { explosive: null, exposure: null } : shares(peakPpm, safety);
  return {
    at,
    peakMgPerM3,
    peakAt: minutes,
    peakPpm,
    shareOfExplosive: peak.explosive,
    shareOfExposure: peak.exposure,
    airingMinutes: airing(peak, perMinute),
  };
}

/**
 * (1 − e^(−nt)) / n, minutes: what a steady source fills in a time against the air that carries it off. Its limit for
 * n → 0 is t; expm1 keeps its precision where nt is small.
 */
export const filling = (perMinute: number, minutes: number): number =>
  perMinute * minutes < 1e-12 ? minutes : -Math.expm1(-perMinute * minutes) / perMinute;

/** mg/m³ at a minute, of a release that lasts from 0 to `minutes`. */
function concentration(minute: number, releasedMg: number, minutes: number, volume: number, perMinute: number): number {
  if (minute < 0) return 0;
  const decay = (time: number): number => Math.exp(-perMinute * time);
  if (minutes === 0) return (releasedMg / volume) * decay(minute);
  const risen = (releasedMg / minutes / volume) * filling(perMinute, Math.min(minute, minutes));
  return risen * decay(Math.max(0, minute - minutes));
}

/** Minutes of decay from these shares down to both thresholds. */
function airing(peak: { explosive: number | null; exposure: number | null }, perMinute: number): number | null {
  const over = Math.max(
    (peak.explosive ?? 0) / AIRING_THRESHOLDS.explosive,
    (peak.exposure ?? 0) / AIRING_THRESHOLDS.exposure,
  );
  if (over <= 1) return 0;
  return perMinute === 0 ? null : Math.log(over) / perMinute;
}
