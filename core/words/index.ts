export { lowerFirst, upperFirst } from './case.ts';
