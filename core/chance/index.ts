/**
 * A small generator of random numbers whose whole state is one 32-bit number, so that what it is
 * part of is repeated from a seed and can be kept (mulberry32, public domain).
 */
export interface Dice {
  dice: number;
}

/** Uniform from 0 to 1. */
export function roll(holder: Dice): number {
  holder.dice = (holder.dice + 0x6d2b79f5) | 0;
  let mixed = Math.imul(holder.dice ^ (holder.dice >>> 15), 1 | holder.dice);
  mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
}

/** Normal with mean 0 and standard deviation 1 (Box–Muller). */
export const gauss = (holder: Dice): number =>
  Math.sqrt(-2 * Math.log(Math.max(roll(holder), 1e-12))) * Math.cos(2 * Math.PI * roll(holder));

/** Random numbers of a generator of its own, the same for the same seed. */
export interface Random {
  /** From 0 to 1. */
  readonly uniform: () => number;
  /** With mean 0 and standard deviation 1. */
  readonly normal: () => number;
}

/** Random numbers from a seed. */
export function random(seed: number): Random {
  const holder: Dice = { dice: seed | 0 };
  return { uniform: () => roll(holder), normal: () => gauss(holder) };
}
