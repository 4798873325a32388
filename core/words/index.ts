export { lowerFirst, upperFirst } from './case.ts';
export { searchText, searchWords } from './search.ts';
export { anotherName, nameParts, singular } from './name.ts';
