/**
 * Freeze points of glycol and water. Table by mass and densities at 20 °C from standard engineering tables
 * (CRC Handbook of Chemistry and Physics, aqueous solutions), as given in the project's model notes; linear between
 * rows. Volume shares are converted by density without the small contraction on mixing (under 1 %).
 */

/** The base of the antifreeze. */
export type Glycol = 'ethylene' | 'propylene';

const TABLE: Readonly<Record<Glycol, readonly number[]>> = {
  // Every 5 % by mass from 0 to 60 %, °C.
  ethylene: [0, -1.4, -3.2, -5.4, -7.8, -10.7, -14.1, -17.9, -22.3, -27.5, -33.8, -41.1, -48.3],
  propylene: [0, -1.6, -3.3, -5.1, -7.1, -9.6, -12.7, -16.4, -21.1, -26.7, -33.5, -41.6, -51.1],
};
const STEP = 0.05;
const TOP = 0.6;

/** kg/L at 20 °C. */
export const GLYCOL_DENSITY: Readonly<Record<Glycol, number>> = { ethylene: 1.113, propylene: 1.036 };
/** kg/L at 20 °C. */
export const WATER_DENSITY = 0.998;

/** Share by mass of a share by volume, both 0 to 1. */
export function massFraction(glycol: Glycol, volumeFraction: number): number {
  const heavy = volumeFraction * GLYCOL_DENSITY[glycol];
  return heavy / (heavy + (1 - volumeFraction) * WATER_DENSITY);
}

/** Share by volume of a share by mass, both 0 to 1. */
export function volumeFraction(glycol: Glycol, byMass: number): number {
  const glycolLitres = byMass / GLYCOL_DENSITY[glycol];
  return glycolLitres / (glycolLitres + (1 - byMass) / WATER_DENSITY);
}

/**
 * The temperature at which ice begins to form.
 * @param share of antifreeze by volume, 0 to 1
 * @returns °C, and whether the share lies beyond the table (over 60 % by mass protection gets worse again)
 * @throws RangeError outside 0 to 1
 * @example freezePoint('ethylene', 0.5).celsius // about −37
 */
export function freezePoint(glycol: Glycol, share: number): { celsius: number; beyondTable: boolean } {
  if (!(share >= 0 && share <= 1)) throw new RangeError(`Expected a share from 0 to 1, got ${share}.`);
  const byMass = massFraction(glycol, share);
  const table = TABLE[glycol];
  const place = Math.min(byMass, TOP) / STEP;
  const row = Math.min(Math.floor(place), table.length - 2);
  const low = table[row] ?? 0;
  const high = table[row + 1] ?? low;
  return { celsius: low + (high - low) * (place - row), beyondTable: byMass > TOP + 1e-9 };
}

/**
 * The share by volume that freezes at a given temperature: the inverse of {@link freezePoint}.
 * @param celsius from 0 down to the last row of the table
 * @throws RangeError beyond the table
 */
export function shareForFreezePoint(glycol: Glycol, celsius: number): number {
  const table = TABLE[glycol];
  const lowest = table.at(-1) ?? 0;
  if (!(celsius <= 0 && celsius >= lowest)) throw new RangeError(`Expected 0 to ${lowest} °C, got ${celsius}.`);
  const row = Math.max(0, table.findIndex((point) => point <= celsius) - 1);
  const low = table[row] ?? 0;
  const high = table[row + 1] ?? low;
  const place = low === high ? row : row + (celsius - low) / (high - low);
  return volumeFraction(glycol, place * STEP);
}
