export { lineParts, lineProblems, readLine } from './read.ts';
export type { LineField, LineThing } from './read.ts';
