export { lowerFirst, upperFirst } from './case.ts';
export { anotherName, lastOfName, nameParts, singular } from './name.ts';
