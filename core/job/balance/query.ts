import { type Balance, balanceOf } from '../../balance/index.ts';
import type { Job } from '../job.ts';
import type { When } from '../stamp.ts';
import type { BalanceRead } from './state.ts';

/** A reading of a bank, and what it comes to. */
export interface BalanceSeen {
  readonly read: BalanceRead;
  readonly balance: Balance;
}

/** The last reading before or after the work; null where no gauge was on. */
export function balanceSeen(job: Job, when: When): BalanceSeen | null {
  const read = job.balances.filter((each) => each.when === when).at(-1);
  return read === undefined ? null : { read, balance: balanceOf(read.bodies, read.reference, read.evenKPa) };
}
