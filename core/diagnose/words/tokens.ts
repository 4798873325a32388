/** A sentence taken apart: clauses end where a comma, a colon or a “but” turns to something else. */
export interface Sentence {
  readonly text: string;
  readonly clauses: readonly Clause[];
}
/** A clause, as it was written and as words. */
export interface Clause {
  readonly text: string;
  readonly words: readonly string[];
}

const SENTENCE_ENDS = /[!?\n]+|\.(?!\d)|(?<!\d)\.(?=\d{4})/;
const CLAUSE_ENDS = /[,;:]+(?!\d)|\s[-–—]\s|\b(?:but|although|though|whereas)\b|\+(?=\s)|(?<=\s)\/(?=\s)/i;

/** Words in lower case, without apostrophes: `doesn’t` is `doesnt`. Figures keep their digits alone. */
export const wordsOf = (clause: string): string[] =>
  clause
    .toLowerCase()
    .replace(/[’'`]/g, '')
    .replace(/\ba\/c\b/g, 'ac')
    .replace(/\bw\/o\b/g, 'without')
    .replace(/\bc\/o\b/g, 'complains')
    .replace(/(\d)[.,'\s](\d{3})\b/g, '$1$2')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** Sentences, and in each its clauses; nothing is lost but empty ones. A question keeps its mark. */
export const sentencesOf = (text: string): Sentence[] =>
  text
    .split(new RegExp(`(?<=[?])|${SENTENCE_ENDS.source}`))
    .map((sentence) => sentence.trim())
    .filter((sentence) => sentence !== '')
    .map((sentence) => ({
      text: sentence,
      clauses: sentence
        .split(CLAUSE_ENDS)
        .map((clause) => clause.trim())
        .filter((clause) => clause !== '')
        .map((clause) => ({ text: clause, words: wordsOf(clause) })),
    }));
