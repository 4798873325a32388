export { lowerFirst, upperFirst } from './case.ts';
export { type MarkedPart, markWords, searchText, searchWords } from './search.ts';
export { anotherName, nameParts, singular } from './name.ts';
