import type { Recorded } from '../fact.ts';
import type { balanceMeasuredShape } from './measuring.ts';

/** What gauges showed at the bodies of a bank. */
export type BalanceRead = Recorded<typeof balanceMeasuredShape>;
/** The balance of a bank, as it was read. */
export interface BalanceState {
  readonly balances: readonly BalanceRead[];
}
/** Before any gauge was on. */
export const FRESH_BALANCE: BalanceState = { balances: [] };
