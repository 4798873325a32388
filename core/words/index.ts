export { lowerFirst, upperFirst } from './case.ts';
export { anotherName, nameParts, singular } from './name.ts';
