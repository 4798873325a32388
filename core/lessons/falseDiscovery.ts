/**
 * Which of many tests tell, so that of those told at most a share is false on average: Benjamini and Hochberg (1995), step
 * up. Without it a shop that looks at a hundred things would be told five lessons by chance alone.
 * @param chances p-values, 0 to 1, in any order @param share 0 to 1
 * @returns for each whether it tells
 */
export function tells(chances: readonly number[], share: number): boolean[] {
  const ordered = chances.toSorted((a, b) => a - b);
  const last = ordered.findLastIndex((p, rank) => p <= ((rank + 1) / chances.length) * share);
  const limit = last < 0 ? -1 : ordered[last]!;
  return chances.map((p) => p <= limit);
}
