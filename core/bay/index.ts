export { fitInto } from './fits.ts';
export type { Fit, Task } from './fits.ts';
export { nextTask, waitsFor } from './tasks.ts';
