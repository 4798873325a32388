export { lineParts, lineProblems, readLine } from './read.ts';
export { jointOfWords } from './vocabulary.ts';
export type { LineField, LineThing } from './read.ts';
