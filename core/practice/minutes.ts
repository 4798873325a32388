import { ACCESS, type Access, type Sign } from '../diagnose/index.ts';

/** Reading codes and values with the tester takes so long, min. */
export const READ_MINUTES = 5;
/** A question put to the customer takes so long, min. */
export const ASK_MINUTES = 0.5;

/** Minutes that a check takes here, with what has to be reached for it. @param reached is added to */
export function minutesOf({ method }: Pick<Sign, 'method'>, reached: Set<Access>): number {
  const door = (method?.needs ?? []).reduce(
    (sum, access) => sum + (reached.has(access) ? 0 : ACCESS[access].minutes),
    0,
  );
  for (const access of [...(method?.needs ?? []), ...(method?.leaves ?? [])]) reached.add(access);
  return (method?.minutes ?? ASK_MINUTES) + door;
}
