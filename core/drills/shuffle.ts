import type { Random } from '../chance/index.ts';

/** The same things in another order (Fisher and Yates, Durstenfeld 1964). */
export function shuffled<T>(things: readonly T[], { uniform }: Random): T[] {
  const all = [...things];
  for (let last = all.length - 1; last > 0; last -= 1) {
    const other = Math.floor(uniform() * (last + 1));
    [all[last], all[other]] = [all[other]!, all[last]!];
  }
  return all;
}
/** One of several. */
export const oneOf = <T>(things: readonly T[], { uniform }: Random): T =>
  things[Math.floor(uniform() * things.length)]!;
