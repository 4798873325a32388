// By itself: where it is asked for as a whole, everything beside it in its room would come along with the first page.
export { weaveDay } from '../../core/bay/index.ts';
