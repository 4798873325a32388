/** The five words in which a likelihood is written, so that people can review and argue about it. */
export type UsualWord = 'never' | 'seldom' | 'sometimes' | 'often' | 'nearly always';
/** Two more, for what is seen or measured directly: an object on the plate, a body out of flat. */
export type ProofWord = 'proves' | 'rules out';
/** Every word that a portrait can use. */
export type Word = UsualWord | ProofWord;

/**
 * Each word as a probability, 0 to 1. Never is not zero: people misread, and no single finding may rule all out. What
 * *proves* a cause is seen with it 995 times in 1000, and once in 1000 with every cause it does not name.
 */
export const CHANCE: Readonly<Record<Word, number>> = {
  never: 0.02,
  seldom: 0.1,
  sometimes: 0.3,
  often: 0.6,
  'nearly always': 0.9,
  proves: 0.995,
  'rules out': 0.001,
};
/** How often a proof is seen with a cause that it does not name, 0 to 1. */
export const PROOF_OF_ANOTHER = 0.001;

/** Whether a word is one of the two for what is seen directly. */
export const isProofWord = (word: Word): word is ProofWord => word === 'proves' || word === 'rules out';

/** How common a cause is among vehicles of a group, as relative weights; only their ratios matter. */
export const COMMONNESS = { rare: 1, uncommon: 3, common: 8, 'very common': 16 } as const;
/** A word of {@link COMMONNESS}. */
export type Commonness = keyof typeof COMMONNESS;
