/**
 * Freeze points and shares of glycol in water: ASHRAE Handbook, Fundamentals (2009), chapter 31, tables 4 (ethylene) and
 * 5 (propylene). Both shares are of the finished mix, so that its contraction is in the table; linear between rows.
 */

/** The base of the antifreeze. */
export type Glycol = 'ethylene' | 'propylene';

/** Share by mass and by volume, %, and where ice begins to form, °C; null where the table only says below −51. */
type Row = readonly [byMass: number, byVolume: number, celsius: number | null];
const TABLE: Readonly<Record<Glycol, readonly Row[]>> = {
  ethylene: [
    [0, 0, 0],
    [5, 4.4, -1.4],
    [10, 8.9, -3.2],
    [15, 13.6, -5.4],
    [20, 18.1, -7.8],
    [25, 22.9, -10.7],
    [30, 27.7, -14.1],
    [35, 32.6, -17.9],
    [40, 37.5, -22.3],
    [45, 42.5, -27.5],
    [50, 47.6, -33.8],
    [55, 52.7, -41.1],
    [60, 57.8, -48.3],
    [65, 62.8, null],
    [70, 68.3, null],
    [75, 73.6, null],
    [80, 78.9, -46.8],
    [85, 84.3, -36.9],
    [90, 89.7, -29.8],
    [95, 95, -19.4],
    [100, 100, null],
  ],
  propylene: [
    [0, 0, 0],
    [5, 4.8, -1.6],
    [10, 9.6, -3.3],
    [15, 14.5, -5.1],
    [20, 19.4, -7.1],
    [25, 24.4, -9.6],
    [30, 29.4, -12.7],
    [35, 34.4, -16.4],
    [40, 39.6, -21.1],
    [45, 44.7, -26.7],
    [50, 49.9, -33.5],
    [55, 55, -41.6],
    [60, 60, -51.1],
    [100, 100, null],
  ],
};
/** The rows of the way down, where a freeze point says one share. */
const WAY_DOWN = 13;

/** kg/L at 20 °C. */
export const GLYCOL_DENSITY: Readonly<Record<Glycol, number>> = { ethylene: 1.113, propylene: 1.036 };
/** kg/L at 20 °C. */
export const WATER_DENSITY = 0.998;

/** Share by mass of a share by volume, both 0 to 1, of the finished mix. */
export const massFraction = (glycol: Glycol, volumeFraction: number): number =>
  between(TABLE[glycol], volumeFraction * 100, BY_VOLUME, BY_MASS) / 100;

/** Share by volume of a share by mass, both 0 to 1, of the finished mix. */
export const volumeFraction = (glycol: Glycol, byMass: number): number =>
  between(TABLE[glycol], byMass * 100, BY_MASS, BY_VOLUME) / 100;

const BY_MASS = 0;
const BY_VOLUME = 1;
const CELSIUS = 2;

/** Linear between the rows of one column and those of another; held to the ends. */
function between(rows: readonly Row[], value: number, from: 0 | 1 | 2, to: 0 | 1 | 2): number {
  const rising = (rows[1]?.[from] ?? 0) > (rows[0]?.[from] ?? 0);
  const place = rows.findIndex((row) => (rising ? (row[from] ?? 0) >= value : (row[from] ?? 0) <= value));
  const high = rows[place < 0 ? rows.length - 1 : Math.max(1, place)];
  const low = rows[place < 0 ? rows.length - 2 : Math.max(0, place - 1)];
  const [x0 = 0, x1 = 0, y0 = 0, y1 = 0] = [low?.[from] ?? 0, high?.[from] ?? 0, low?.[to] ?? 0, high?.[to] ?? 0];
  return x1 === x0 ? y1 : y0 + ((y1 - y0) * (value - x0)) / (x1 - x0);
}

/** Where a mix freezes, as far as the table goes. */
export interface FreezePoint {
  /** °C. Beyond the table the last figure of the way down: it protects at least to there, unless `warmer`. */
  readonly celsius: number;
  /** Over 60 % by mass no freeze point is tabulated on the way down. */
  readonly beyondTable: boolean;
  /** So strong that it freezes warmer again, as near-pure glycol does. */
  readonly warmer: boolean;
}

/**
 * The temperature at which ice begins to form.
 * @param share of antifreeze by volume in the finished mix, 0 to 1
 * @returns °C. Past 60 % by mass it first falls further, below −51 °C, and near pure is far warmer: both say so
 * @throws RangeError outside 0 to 1
 * @example freezePoint('ethylene', 0.5).celsius // about −37
 */
export function freezePoint(glycol: Glycol, share: number): FreezePoint {
  if (!(share >= 0 && share <= 1)) throw new RangeError(`Expected a share from 0 to 1, got ${share}.`);
  const table = TABLE[glycol];
  const down = table.slice(0, WAY_DOWN);
  const percent = share * 100;
  const [, last = 100, lowest] = down.at(-1) ?? [];
  if (percent <= last + 1e-9)
    return { celsius: between(down, percent, BY_VOLUME, CELSIUS), beyondTable: false, warmer: false };
  const up = table.filter((row, index) => index >= WAY_DOWN && row[CELSIUS] !== null);
  const [first] = up;
  if (first !== undefined && percent >= first[BY_VOLUME]) {
    const celsius = between(up, Math.min(percent, up.at(-1)?.[BY_VOLUME] ?? percent), BY_VOLUME, CELSIUS);
    return { celsius, beyondTable: true, warmer: true };
  }
  return { celsius: lowest ?? 0, beyondTable: true, warmer: false };
}

/** What a freeze point says in words: `−37 °C`, with what lies beyond the table. */
export function freezeWords({ celsius, beyondTable, warmer }: FreezePoint): string {
  const said = `${Math.round(celsius)} °C`.replace('-', '−');
  if (!beyondTable) return said;
  return warmer ? `${said}: too strong, it freezes warmer again` : `below ${said}, beyond the table`;
}

/**
 * The share by volume that freezes at a given temperature: the inverse of {@link freezePoint} on the way down.
 * @param celsius from 0 down to the last row of it
 * @throws RangeError beyond the table
 */
export function shareForFreezePoint(glycol: Glycol, celsius: number): number {
  const down = TABLE[glycol].slice(0, WAY_DOWN);
  const lowest = down.at(-1)?.[CELSIUS] ?? 0;
  if (!(celsius <= 0 && celsius >= lowest)) throw new RangeError(`Expected 0 to ${lowest} °C, got ${celsius}.`);
  return between(down, celsius, CELSIUS, BY_VOLUME) / 100;
}
