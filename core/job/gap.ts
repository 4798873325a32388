import type { WhereTo } from './whereTo.ts';

/** Something that is missing, and where it is made good. */
export interface Gap {
  readonly words: string;
  readonly at: WhereTo;
}

/** A gap where something is missing, nothing where it is not. */
export const gap = (missing: boolean, words: string, at: WhereTo): Gap[] => (missing ? [{ words, at }] : []);
