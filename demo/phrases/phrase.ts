/** What must, may and must not be heard in a sentence. */
export interface Phrase {
  readonly text: string;
  /** Findings, attempts, codes and readings that must be heard. */
  readonly must: readonly string[];
  /** What may be heard besides; anything else is a mishearing. */
  readonly may: readonly string[];
}

/** Reads sentences as they are written in this folder: one a line, `sentence | must ~may`. */
export const phrasesOf = (written: string): Phrase[] =>
  written
    .trim()
    .split('\n')
    .map((line) => {
      const [text = '', hears = ''] = line.split('|');
      const all = hears.trim().split(/\s+/).filter(Boolean);
      return {
        text: text.trim(),
        must: all.filter((each) => !each.startsWith('~')),
        may: all.filter((each) => each.startsWith('~')).map((each) => each.slice(1)),
      };
    });
