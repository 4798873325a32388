export { lowerFirst, upperFirst } from './case.ts';
export { excerpt, type MarkedPart, markWords, searchText, searchWords } from './search.ts';
export { anotherName, nameParts, singular } from './name.ts';
