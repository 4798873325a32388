/**
 * The band about what a sound engine shows: so much to either side of it, to three figures as a book prints it.
 * @param share of the sound value, 0 to 1
 */
export function bandAround(value: number, share: number): { readonly low: number; readonly high: number } {
  const printed = (figure: number): number => Number(figure.toPrecision(3));
  return { low: printed(value * (1 - share)), high: printed(value * (1 + share)) };
}

/** How wide the bands of a practice vehicle are, and with how many decimals its instruments show what is held against them. */
export const BANDS = {
  'idle-speed': { share: 0.07, decimals: 0 },
  'valve-duty': { share: 0.18, decimals: 1 },
  'air-mass': { share: 0.15, decimals: 2 },
  manifold: { share: 0.15, decimals: 1 },
} as const;
