export { balanceOf, EVEN_SPREAD_KPA } from './balance.ts';
export type { Against, Balance, Suction } from './balance.ts';
