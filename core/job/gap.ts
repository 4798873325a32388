/** A sentence where something is missing, nothing where it is not. */
export const gap = (missing: boolean, words: string): string[] => (missing ? [words] : []);
